/** What was done last and can be taken back. back: takes it back, and has its screen read anew what it shows. */
export interface Undoable {
  said: string;
  back: () => Promise<unknown>;
}

class Undo {
  last = $state.raw<Undoable | null>(null);
  offer = (said: string, back: () => Promise<unknown>): void => void (this.last = { said, back });
  clear = (): void => void (this.last = null);
}
/** One for the whole window: the bar below shows it, whatever screen it came from. */
export const undo = new Undo();
