/** What the page was told with its root element: data-english, data-units. Undefined where there is no page. */
export function told(name: "english"): "us" | "uk" | undefined;
export function told(name: "units"): Record<string, string> | undefined;
export function told(name: string): unknown {
  const data = typeof document === "undefined" ? undefined : document.documentElement.dataset[name];
  return data === undefined ? undefined : JSON.parse(data);
}
