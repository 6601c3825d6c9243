import { changed } from "../api/client";

/** The last action that can be undone. back: undoes it and reloads its screen. */
export interface Undoable {
  said: string;
  back: () => Promise<unknown>;
}

class Undo {
  last = $state.raw<Undoable | null>(null);
  #taking = false;
  offer = (said: string, back: () => Promise<unknown>): void => void (this.last = { said, back });
  clear = (): void => void (this.last = null);

  /** Something else was done since: it is the last, and this is not. */
  overtaken = (): void => {
    if (!this.#taking) this.clear();
  };

  /** Takes the last back. Throws what it was refused for; then it is still the last. */
  async take(): Promise<void> {
    const last = this.last;
    if (!last || this.#taking) return;
    this.#taking = true;
    try {
      await last.back();
      if (this.last === last) this.clear();
    } finally {
      this.#taking = false;
    }
  }
}
/** One for the whole window: the bar below shows it, whatever screen it came from. */
export const undo = new Undo();
changed.tell = undo.overtaken;
