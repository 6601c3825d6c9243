/** Fetches something and keeps the newest answer; a slower earlier answer never overwrites a later one. */
export class Loader<T> {
  value = $state.raw<T | null>(null);
  error = $state.raw<unknown>(null);
  loading = $state(false);
  #turn = 0;

  async load(fetch: () => Promise<T>): Promise<void> {
    const turn = ++this.#turn;
    this.loading = true;
    try {
      const value = await fetch();
      if (turn !== this.#turn) return;
      this.value = value;
      this.error = null;
    } catch (error) {
      if (turn === this.#turn) this.error = error;
    } finally {
      if (turn === this.#turn) this.loading = false;
    }
  }
}
