import { lazyApi } from "../../api/lazyApi";
import { Refusal, type Schemas } from "../../api/client";
import { lengthUnit } from "../../format/lengths";
import * as texts from "../../texts/photoMeasure";
import { shrunk } from "../../parts/photo";
import { measured } from "./photoMeasure";

export type Rules = Schemas["PhotoRules"];
export type Spot = [number, number];

const DELAY_MS = 150;
/** How far a finger gets within one px of the screen. */
export const ZOOMS = [1, 2, 4, 8];
/** Of the known length, and of the pad. */
const COLOURS = ["#00e0ff", "#ffd400"];

/** A photo, what is marked in it, and what that comes to. */
export class PhotoMarks {
  photo = $state.raw<{ file: Blob; address: string; width: number; height: number } | null>(null);
  known = $state("");
  length = $state("");
  away = $state("");
  /** Both ends of the known length, then both edges of the pad, in px of the photo. */
  spots = $state<Spot[]>([]);
  /** Which of them is set at the moment. */
  at = $state(0);
  zoom = $state(1);
  /** Width of the picture on the screen, px. */
  width = $state(360);
  result = $state.raw<Schemas["PhotoMeasured"] | null>(null);
  fault = $state.raw<{ field: string; message: string } | null>(null);
  /** Measured here, as the server was out of reach. */
  alone = $state(false);
  /** Marks that were set by the owner: nothing is measured before all are. */
  #set = $state<boolean[]>([false, false, false, false]);
  #finest = [Infinity, Infinity, Infinity, Infinity];
  #timer: ReturnType<typeof setTimeout> | undefined;
  #turn = 0;

  constructor(
    readonly rules: Rules,
    /** What the rotor at this wheel should measure, with its unit. */
    readonly rotor: string,
  ) {
    this.away = rules.away[0]!.id;
    this.pick(rules.known[0]!.id);
  }

  get complete(): boolean {
    return this.#set.every(Boolean);
  }
  get asked(): Rules["known"][number] {
    return this.rules.known.find((each) => each.id === this.known)!;
  }
  isSet = (at: number): boolean => this.#set[at]!;

  /** Rejects anything that is not a picture. */
  async take(file: Blob): Promise<void> {
    const seen = await createImageBitmap(file, { imageOrientation: "from-image" });
    if (this.photo) URL.revokeObjectURL(this.photo.address);
    const { width, height } = seen;
    seen.close();
    this.photo = { file, address: URL.createObjectURL(file), width, height };
    const [across, down] = [width / 100, height / 100];
    this.spots = [
      [40 * across, 30 * down],
      [60 * across, 30 * down],
      [40 * across, 60 * down],
      [60 * across, 60 * down],
    ];
    [this.#set, this.#finest] = [
      [false, false, false, false],
      [Infinity, Infinity, Infinity, Infinity],
    ];
    [this.at, this.zoom, this.result] = [0, 1, null];
  }

  /** The photo with what was measured in it: the known length and the pad, each between two marks. */
  marked(): Promise<Blob> {
    const { file, width } = this.photo!;
    return shrunk(file, (context) => {
      context.lineWidth = width / 250;
      for (const [first, colour] of COLOURS.entries()) {
        context.strokeStyle = colour;
        context.beginPath();
        for (const [x, y] of this.spots.slice(2 * first, 2 * first + 2)) {
          context.moveTo(x - width / 50, y);
          context.lineTo(x + width / 50, y);
          context.moveTo(x, y - width / 50);
          context.lineTo(x, y + width / 50);
        }
        context.moveTo(...this.spots[2 * first]!);
        context.lineTo(...this.spots[2 * first + 1]!);
        context.stroke();
      }
    });
  }

  pick(known: string): void {
    this.known = known;
    this.length = known === "rotor" ? this.rotor : (this.asked.length ?? "");
    this.changed();
  }

  /** How many px of the photo one px of the screen is. */
  get pixel(): number {
    return this.photo ? this.photo.width / this.zoom / this.width : 1;
  }

  /** What of the photo is shown: x, y, width, height. The mark that is set keeps in it. */
  readonly view: [number, number, number, number] = $derived.by(() => {
    if (!this.photo) return [0, 0, 1, 1];
    const { width, height } = this.photo;
    const [w, h] = [width / this.zoom, height / this.zoom];
    const [x, y] = this.#centre ?? [width / 2, height / 2];
    const keep = (middle: number, part: number, whole: number) =>
      Math.min(Math.max(middle - part / 2, 0), whole - part);
    return [keep(x, w, width), keep(y, h, height), w, h];
  });
  #centre = $state.raw<Spot | null>(null);

  look(at: number): void {
    this.at = at;
    this.#centre = [...this.spots[at]!];
  }
  zoomBy(steps: number): void {
    const next = ZOOMS[ZOOMS.indexOf(this.zoom) + steps];
    if (!next) return;
    this.zoom = next;
    this.#centre = [...this.spots[this.at]!];
  }
  /** right, down: px of the screen */
  pan(right: number, down: number): void {
    const [x, y, w, h] = this.view;
    this.#centre = [x + w / 2 - right * this.pixel, y + h / 2 - down * this.pixel];
  }
  move(at: number, right: number, down: number): void {
    const [x, y] = this.spots[at]!;
    const within = (value: number, most: number) => Math.min(Math.max(value, 0), most);
    this.spots[at] = [
      within(x + right * this.pixel, this.photo!.width),
      within(y + down * this.pixel, this.photo!.height),
    ];
    this.#set[at] = true;
    this.#finest[at] = this.pixel;
    this.changed();
  }

  changed(): void {
    clearTimeout(this.#timer);
    if (this.complete && this.photo) this.#timer = setTimeout(() => void this.#measure(), DELAY_MS);
  }

  get given(): Schemas["PhotoMarks"] {
    const [one, two, three, four] = this.spots as [Spot, Spot, Spot, Spot];
    return {
      known: this.known,
      length: this.length,
      away: this.away,
      size: [this.photo!.width, this.photo!.height],
      ends: [...one, ...two],
      edges: [...three, ...four],
      pixel: Math.min(Math.max(...this.#finest), 999),
    };
  }

  async #measure(): Promise<void> {
    const turn = ++this.#turn;
    try {
      const result = await lazyApi.measurePhoto(this.given);
      if (turn !== this.#turn) return;
      [this.result, this.fault, this.alone] = [result, null, false];
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (turn !== this.#turn) return;
      const away = error.status === 0 || error.status >= 500;
      const here = away ? measured(this.rules, this.given, lengthUnit("pad")) : null;
      [this.result, this.alone] = [here, here !== null];
      const { field, message } = error.faults[0] ?? { field: "", message: error.message };
      this.fault = here ? null : away ? { field: "", message: texts.cantHere } : { field, message };
    }
  }

  end(): void {
    clearTimeout(this.#timer);
    if (this.photo) URL.revokeObjectURL(this.photo.address);
  }
}
