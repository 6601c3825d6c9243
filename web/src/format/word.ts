import { told } from "./pageData";

/** Graver's word => the owner's, of those that differ. */
const others = told("words");
const pattern = new RegExp(`\\b(${Object.keys(others).join("|") || "(?!)"})(s?)\\b`, "gi");

/** A text in the owner's words: "Discs" for "Rotors". */
export const word = (text: string): string =>
  text.replace(pattern, (_, found: string, plural: string) => {
    const own = others[found.toLowerCase()]!;
    return `${found === found.toLowerCase() ? own : own[0]!.toUpperCase() + own.slice(1)}${plural}`;
  });
