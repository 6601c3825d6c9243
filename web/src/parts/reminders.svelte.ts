import { tick } from "svelte";
import { api, type Schemas } from "../api/client";
import * as texts from "../texts/reminders";
import { say } from "../texts/say";

type Event = Schemas["Timelines"]["vehicles"][number]["events"][number];
const WANTED = "graver.remind";
const SHOWN = "graver.reminded";
const HOUR_MS = 3_600_000;
/** What one is reminded of. */
const KINDS = ["look", "renew", "order", "due", "fluid", "inspection", "retorque", "first_reading", "relook", "job"];

/** Reminders by the browser, for as long as Graver is open in it. */
class Reminders {
  wanted = $state(localStorage.getItem(WANTED) === "on");
  fault = $state("");
  #timer: ReturnType<typeof setInterval> | undefined;

  get possible(): boolean {
    return "Notification" in globalThis && globalThis.isSecureContext;
  }

  /** Asks the browser, where it has to be asked. */
  async want(on: boolean): Promise<void> {
    this.fault = "";
    // The switch is where it was put until the browser has said no.
    this.wanted = on;
    await tick();
    if (on && !this.possible) return this.#refuse(texts.cant);
    if (on && (await Notification.requestPermission()) !== "granted") return this.#refuse(texts.blocked);
    localStorage.setItem(WANTED, on ? "on" : "off");
    localStorage.removeItem(SHOWN);
    if (on) await this.start();
    else clearInterval(this.#timer);
  }

  #refuse(fault: string): void {
    [this.wanted, this.fault] = [false, fault];
  }

  async start(): Promise<void> {
    if (!this.wanted || !this.possible || Notification.permission !== "granted") return;
    clearInterval(this.#timer);
    this.#timer = setInterval(() => void this.#remind(), HOUR_MS);
    await this.#remind();
  }

  async #remind(): Promise<void> {
    const lines = await api.timelines().catch(() => null);
    if (!lines) return;
    // Once a day, whatever has become due since.
    const shown = JSON.parse(localStorage.getItem(SHOWN) ?? "{}") as { day?: string; keys?: string[] };
    const before = new Set(shown.day === lines.today ? shown.keys : []);
    for (const { vehicle_id: id, vehicle_name: vehicle, events } of lines.vehicles) {
      const due = events.filter((event) => isDue(event, lines.today) && !before.has(keyOf(id, event)));
      if (!due.length) continue;
      due.forEach((event) => before.add(keyOf(id, event)));
      this.#show(vehicle, due, id);
    }
    localStorage.setItem(SHOWN, JSON.stringify({ day: lines.today, keys: [...before] }));
  }

  #show(vehicle: string, due: Event[], id: number): void {
    const said = due.slice(0, 3).map((event) => event.text);
    const rest = due.length > 3 ? [say(texts.more, { count: due.length - 3 })] : [];
    try {
      const shown = new Notification(say(texts.due, { vehicle }), {
        body: [...said, ...rest].join("\n"),
        tag: `graver-${id}`,
      });
      shown.onclick = () => {
        window.focus();
        location.hash = `#/vehicles/${id}`;
      };
    } catch {
      // Some phones have notifications, but not from a page.
      this.fault = texts.cant;
    }
  }
}

const isDue = (event: Event, today: string): boolean => KINDS.includes(event.kind) && event.date <= today;
const keyOf = (id: number, event: Event): string => [id, event.kind, event.axle, event.text].join("|");

export const reminders = new Reminders();
