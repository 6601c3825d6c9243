import { api, Refusal } from "../../api/client";

const DELAY_MS = 400;
const AGAIN_MS = 4000;

/** Keeps a half-entered inspection on the server, key by key, and notices when another window changes it. */
export class DraftKeeper {
  state = $state<"" | "keeping" | "kept" | "elsewhere" | "not kept">("");
  #revision = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #waiting: unknown = null;
  #sending: Promise<void> = Promise.resolve();
  #done = false;

  constructor(
    readonly vehicle: number,
    /** called when another window was faster */
    readonly onelsewhere: () => void,
  ) {}

  async load(): Promise<unknown> {
    const { draft } = await api.draft(this.vehicle);
    this.#revision = draft?.revision ?? 0;
    this.state = draft ? "kept" : "";
    return draft?.content ?? null;
  }

  keep(content: unknown): void {
    if (this.#done) return;
    this.#waiting = content;
    clearTimeout(this.#timer);
    if (this.state === "elsewhere") return;
    this.state = "keeping";
    this.#timer = setTimeout(() => (this.#sending = this.#send()), DELAY_MS);
  }

  /** When the page closes: sends the waiting changes at once. */
  flush(): void {
    if (!["keeping", "not kept"].includes(this.state) || this.#done) return;
    clearTimeout(this.#timer);
    this.#sending = this.#send();
  }

  async settle(): Promise<void> {
    clearTimeout(this.#timer);
    await this.#sending;
  }

  done(): void {
    this.#done = true;
  }

  /** The revision a save is made from; another window may have changed it. */
  get revision(): number {
    return this.#revision;
  }

  /** The owner has seen the other window's version and keeps this one. */
  goOnFrom(revision: number): void {
    this.#revision = revision;
    this.state = "keeping";
  }

  elsewhere(): void {
    clearTimeout(this.#timer);
    this.state = "elsewhere";
  }

  /** Into the bin. Its id there, to take it back. */
  async drop(): Promise<number | null> {
    await this.settle();
    const { binned } = await api.binDraft(this.vehicle);
    this.#revision = 0;
    this.state = "";
    return binned;
  }

  async #send(): Promise<void> {
    await this.#sending;
    if (this.#done) return;
    try {
      const draft = await api.keepDraft(this.vehicle, {
        content: this.#waiting as Record<string, never>,
        revision: this.#revision,
      });
      this.#revision = draft.revision;
      this.state = "kept";
    } catch (error) {
      const taken = error instanceof Refusal && error.status === 409;
      this.state = taken ? "elsewhere" : "not kept";
      if (taken) this.onelsewhere();
      else this.#timer = setTimeout(() => (this.#sending = this.#send()), AGAIN_MS);
    }
  }
}
