import type { Schemas } from "../api/client";

const KEPT = "graver.person";
/** The first page does not wait for it. */
const api = () => import("../api/lazyApi").then(({ lazyApi }) => lazyApi);

/** Who is at this device, and what they may do. */
class AtDevice {
  person = $state<string | null>(null);
  /** Looks, and changes nothing. */
  guest = $state(false);

  load = async (): Promise<void> => this.#take(await (await api()).session());
  /** From now on; what was entered before keeps the name it has. */
  name = async (person: string): Promise<void> => this.#take(await (await api()).namePerson(person));
  /** Signs in under the name this device had before. True when it is known who uses it. */
  async signIn(given: Schemas["SignIn"]): Promise<boolean> {
    const person = given.person || localStorage.getItem(KEPT);
    this.#take(await (await api()).signIn(person ? { ...given, person } : given));
    return this.person !== null;
  }

  #take(state: Schemas["SessionState"]): void {
    [this.person, this.guest] = [state.person, state.guest];
    if (state.person) localStorage.setItem(KEPT, state.person);
    else if (state.signed_in) localStorage.removeItem(KEPT);
  }
}

export const atDevice = new AtDevice();
