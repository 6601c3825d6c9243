/** Values on the page's root element: data-english, data-units. Undefined without a page. */
export function told(name: "english"): "us" | "uk" | undefined;
export function told(name: "units"): Record<string, string> | undefined;
export function told(name: string): unknown {
  const data = typeof document === "undefined" ? undefined : document.documentElement.dataset[name];
  return data === undefined ? undefined : JSON.parse(data);
}
