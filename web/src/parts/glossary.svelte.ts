import { lazyApi } from "../api/lazyApi";
import type { Schemas } from "../api/client";

type Term = Schemas["Term"];
export type Piece = { text: string; term?: Term };

/** The words of the trade, fetched once and only where a sentence wants them. */
class Glossary {
  terms = $state.raw<Term[]>([]);
  #asked = false;

  async load(): Promise<void> {
    if (this.#asked) return;
    this.#asked = true;
    try {
      this.terms = (await lazyApi.help()).terms.filter((term) => !term.everyday);
    } catch {
      this.#asked = false;
    }
  }
}
export const glossary = new Glossary();

const quoted = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/** A sentence in pieces: each word of the trade once, the longer before the shorter, singular or plural. */
export function pieces(sentence: string, terms: Term[]): Piece[] {
  if (terms.length === 0) return [{ text: sentence }];
  const byWord = new Map(
    terms.flatMap((term) => [term.term, ...term.also].map((word) => [word.toLowerCase(), term] as const)),
  );
  const words = [...byWord.keys()].sort((one, other) => other.length - one.length).map(quoted);
  const found: Piece[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const match of sentence.matchAll(new RegExp(`\\b(${words.join("|")})s?\\b`, "gi"))) {
    const term = byWord.get(match[1]!.toLowerCase())!;
    if (seen.has(term.id)) continue;
    seen.add(term.id);
    if (match.index > from) found.push({ text: sentence.slice(from, match.index) });
    found.push({ text: match[0], term });
    from = match.index + match[0].length;
  }
  if (from < sentence.length) found.push({ text: sentence.slice(from) });
  return found;
}
