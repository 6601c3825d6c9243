// Carbon takes its theme from an attribute; the system's preference decides, while the page is open too.
export function followSystemTheme(): void {
  const dark = window.matchMedia("(prefers-color-scheme: dark)");
  const apply = () => document.documentElement.setAttribute("theme", dark.matches ? "g100" : "white");
  dark.addEventListener("change", apply);
  apply();
}
