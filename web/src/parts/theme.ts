/** How the screens look on this device: as the system has it, or always one way. */
export const THEMES = ["system", "light", "dark", "contrast"] as const;
export type Theme = (typeof THEMES)[number];
const KEY = "graver-theme";

export function chosenTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  return THEMES.find((each) => each === kept) ?? "system";
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(KEY, theme);
  apply();
}

// Carbon takes its theme from an attribute.
const system = window.matchMedia("(prefers-color-scheme: dark)");
function apply(): void {
  const theme = chosenTheme();
  const dark = theme === "dark" || (theme === "system" && system.matches);
  document.documentElement.setAttribute("theme", dark ? "g100" : "white");
  document.documentElement.toggleAttribute("data-contrast", theme === "contrast");
  if (theme === "contrast") void import("./contrast.css");
}

/** The system's preference decides, while the page is open too, unless this device's owner has chosen. */
export function followTheme(): void {
  system.addEventListener("change", apply);
  window.addEventListener("storage", (event) => event.key === KEY && apply());
  apply();
}
