import { Refusal } from "../api/client";
import * as texts from "../texts/photos";
import { shrunk } from "./photo";

const AGAIN_MS = 4000;

/** Photos on their way to the server, in the order they were taken; sent again while it cannot be reached. */
export class PhotoQueue {
  waiting = $state<{ blob: Blob; address: string }[]>([]);
  fault = $state("");
  #busy = false;
  #timer: ReturnType<typeof setTimeout> | null = null;

  constructor(readonly send: (photo: Blob) => Promise<unknown>) {}

  async take(files: FileList): Promise<void> {
    this.fault = "";
    for (const file of files) {
      try {
        const blob = await shrunk(file);
        this.waiting.push({ blob, address: URL.createObjectURL(blob) });
      } catch {
        this.fault = texts.unreadable;
      }
    }
    await this.go();
  }

  async go(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    try {
      while (this.waiting.length) {
        const [photo] = this.waiting;
        await this.send(photo!.blob);
        this.#drop();
      }
    } catch (error) {
      this.#refused(error);
    } finally {
      this.#busy = false;
    }
  }

  /** Out of reach: tries again. Refused: shows why, and does not send again. */
  #refused(error: unknown): void {
    if (!(error instanceof Refusal)) throw error;
    if (error.status === 0 || error.status >= 500) {
      if (this.#timer) clearTimeout(this.#timer);
      this.#timer = setTimeout(() => void this.go(), AGAIN_MS);
      return;
    }
    this.fault = error.faults[0]?.message ?? error.message;
    this.#drop();
  }

  #drop(): void {
    const gone = this.waiting.shift();
    if (gone) URL.revokeObjectURL(gone.address);
  }
}
