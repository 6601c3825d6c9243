export const unreachable = "The server cannot be reached. What you typed stays here; try again.";
export const unreadable = "The server answered with something unreadable. Reload the page; what was saved is safe.";
