const KEPT = "graver.practice";
const MOST_SEEDS = 999_999;

interface Count {
  right: number;
  done: number;
}

/** The drill after this one. */
export const next = (seed: number): number => (seed % MOST_SEEDS) + 1;

/** How many first answers were right, by kind of drill: kept in this browser alone. */
export class Tally {
  counts = $state<Record<string, Count>>(read());

  of = (kind: string): { right: number; done: number } => this.counts[kind] ?? { right: 0, done: 0 };

  add(kind: string, right: boolean): void {
    const { right: before, done } = this.of(kind);
    this.counts[kind] = { right: before + (right ? 1 : 0), done: done + 1 };
    localStorage.setItem(KEPT, JSON.stringify(this.counts));
  }
}

function read(): Record<string, Count> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Record<string, Partial<Count> | null>;
    return Object.fromEntries(
      Object.entries(kept).filter(
        (entry): entry is [string, Count] => typeof entry[1]?.right === "number" && typeof entry[1].done === "number",
      ),
    );
  } catch {
    return {};
  }
}
