/** How the screens look on this device: as the system has it, or always one way. */
export const THEMES = ["system", "light", "dark", "contrast"] as const;
export type Theme = (typeof THEMES)[number];
const KEY = "graver-theme";

// A browser that keeps nothing still shows something.
let chosen: Theme | null = null;

export function chosenTheme(): Theme {
  if (chosen) return chosen;
  try {
    const kept = localStorage.getItem(KEY);
    return THEMES.find((each) => each === kept) ?? "system";
  } catch {
    return "system";
  }
}

export function chooseTheme(theme: Theme): void {
  chosen = theme;
  try {
    localStorage.setItem(KEY, theme);
  } catch {
    // for this page only
  }
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
  window.addEventListener("storage", (event) => {
    if (event.key !== KEY) return;
    chosen = null;
    apply();
  });
  apply();
}
