/** What the page was told with its root element: data-words, data-units. */
export const told = (name: string): Record<string, string> =>
  JSON.parse((typeof document === "undefined" ? undefined : document.documentElement.dataset[name]) ?? "{}");
