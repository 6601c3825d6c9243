/** Graver's word => the owner's, of those that differ: the page brings them along. */
const others: Record<string, string> = JSON.parse(
  (typeof document === "undefined" ? undefined : document.documentElement.dataset.words) ?? "{}",
);
const pattern = new RegExp(`\\b(${Object.keys(others).join("|") || "(?!)"})(s?)\\b`, "gi");

/** A text in the owner's words: "Discs" for "Rotors". */
export const word = (text: string): string =>
  text.replace(pattern, (_, found: string, plural: string) => {
    const own = others[found.toLowerCase()]!;
    return `${found === found.toLowerCase() ? own : own[0]!.toUpperCase() + own.slice(1)}${plural}`;
  });
