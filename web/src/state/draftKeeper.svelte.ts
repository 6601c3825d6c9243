import { api, Refusal } from "../api/client";

const DELAY_MS = 400;

/** Keeps a half-entered look-over on the server, key by key, and notices when another window goes on with it. */
export class DraftKeeper {
  state = $state<"" | "keeping" | "kept" | "elsewhere" | "not kept">("");
  #revision = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #waiting: unknown = null;
  #sending: Promise<void> = Promise.resolve();
  #done = false;

  constructor(readonly vehicle: number) {}

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

  /** When the page goes away: what is still waiting is sent at once. */
  flush(): void {
    if (this.state !== "keeping" || this.#done) return;
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

  async drop(): Promise<void> {
    await this.settle();
    await api.dropDraft(this.vehicle);
    this.#revision = 0;
    this.state = "";
  }

  async #send(): Promise<void> {
    await this.#sending;
    if (this.#done) return;
    try {
      const draft = await api.keepDraft(this.vehicle, { content: this.#waiting as Record<string, never>, revision: this.#revision });
      this.#revision = draft.revision;
      this.state = "kept";
    } catch (error) {
      this.state = error instanceof Refusal && error.status === 409 ? "elsewhere" : "not kept";
    }
  }
}
