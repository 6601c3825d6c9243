export const unreachable = "No connection to Graver. What you typed stays here: try again.";
export const unreadable = "Graver's answer can't be read. Reload the page. What you saved is safe.";
