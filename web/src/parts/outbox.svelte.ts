import { api, Refusal, type Schemas } from "../api/client";

/** A tick that is on its way: the steps of one stepGroup. */
interface Waiting {
  job: number;
  steps: string[];
  done: boolean;
  /** What the steps said when they were ticked. */
  seen: Record<string, string> | null;
}
const KEPT = "graver.outbox";
const AGAIN_MS = 4000;

/** Ticks the server has not taken yet: kept in the browser, sent again until it answers. */
class Outbox {
  waiting = $state<Waiting[]>(read());
  /** How many were answered since the page was opened. */
  sent = 0;
  #sending = false;
  #timer: ReturnType<typeof setTimeout> | null = null;
  #listeners = new Set<(progress: Schemas["JobProgress"] | null, refusal: Refusal | null) => void>();

  constructor() {
    addEventListener("online", () => void this.send());
    if (this.waiting.length) this.#later();
  }

  of = (job: number, step: string): Waiting | undefined =>
    this.waiting.find((each) => each.job === job && each.steps.includes(step));

  /** Told of every answer to what was sent late. */
  listen(listener: (progress: Schemas["JobProgress"] | null, refusal: Refusal | null) => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  add(entry: Waiting): Promise<void> {
    this.waiting = [
      ...this.waiting.filter((each) => each.job !== entry.job || each.steps.join() !== entry.steps.join()),
      entry,
    ];
    this.#keep();
    return this.send();
  }

  /** In the order they were made; stops at the first that gets no answer. */
  async send(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    try {
      while (this.waiting.length) {
        const entry = this.waiting[0]!;
        if (!(await this.#sent(entry))) return this.#later();
        this.waiting = this.waiting.filter((each) => each !== entry);
        this.sent += 1;
        this.#keep();
      }
    } finally {
      this.#sending = false;
    }
  }

  /** False when the server could not be reached. */
  async #sent(entry: Waiting): Promise<boolean> {
    try {
      const progress = await api.tick(entry.job, entry.steps, entry.done, entry.seen ?? null);
      this.#listeners.forEach((listener) => listener(progress, null));
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.status === 0 || error.status >= 500) return false;
      this.#listeners.forEach((listener) => listener(null, error));
      return true;
    }
  }

  #later(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.send(), AGAIN_MS);
  }
  #keep = (): void => localStorage.setItem(KEPT, JSON.stringify(this.waiting));
}

function read(): Waiting[] {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? "[]");
    return Array.isArray(kept)
      ? kept.filter(
          (each) => typeof each?.job === "number" && Array.isArray(each?.steps) && typeof each?.done === "boolean",
        )
      : [];
  } catch {
    return [];
  }
}

export const outbox = new Outbox();
