import { brakesAt } from "../../format/words";
import { usualUnit } from "../../format/units";
import type { Schemas } from "../../api/client";
import { toggled } from "../../parts/marks";
import { isFilled, valuesOf, type Content, type Entry, type Place, type Wheel } from "./inspectionContent";

/** The entries at each place of an inspection, with tools and marks. */
export abstract class FormEntries {
  sheet = $state.raw<Schemas["InspectionForm"] | null>(null);
  content = $state<Content | null>(null);

  constructor(
    /** only this axle's wheels, when it is given */
    readonly onlyAxle: number | null,
  ) {}

  /** Called after every change, so that it is kept and looked at. */
  abstract changed(): void;

  get wheels(): Wheel[] {
    return (this.sheet?.wheels ?? []).filter((wheel) => this.onlyAxle === null || wheel.axle === this.onlyAxle);
  }

  entry(place: Place): Entry {
    return this.content!.entries[place.id]!;
  }

  values(place: Place): string[] {
    return valuesOf(this.entry(place));
  }

  isFilled(place: Place): boolean {
    return isFilled(this.entry(place));
  }

  get filled(): [Wheel, Place][] {
    return (this.sheet?.wheels ?? []).flatMap((wheel) =>
      wheel.positions.filter((place) => this.isFilled(place)).map((place): [Wheel, Place] => [wheel, place]),
    );
  }

  isNew(axle: number, part: string): boolean {
    return this.content!.fits.includes(`${axle}|${part}`);
  }

  /** The expected thickness at a position, in mm; nothing for a part being fitted. */
  expected(wheel: Wheel, place: Place): number | null {
    return this.isNew(wheel.axle, place.part) ? null : place.expected_mm;
  }

  methods(part: string) {
    return this.sheet?.methods.filter((method) => method.parts.includes(part as never)) ?? [];
  }

  /** Does the key mean a way of reading, or an event, at this position? */
  means(place: Place, key: string): boolean {
    return (
      this.methods(place.part).some((each) => each.key === key && each.id !== "photo") ||
      (place.part === "pad" && (this.sheet?.events.some((each) => each.key === key) ?? false))
    );
  }

  /** Made-up values count on a vehicle that is made up itself. */
  get sample(): boolean {
    return this.sheet?.vehicle.sample ?? false;
  }

  /** One key picks a way of reading, or an event that says by itself where the pad is. True when the key meant one. */
  pick(place: Place, key: string): boolean {
    const method = this.methods(place.part).find((each) => each.key === key && each.id !== "photo");
    const event = place.part === "pad" ? this.sheet?.events.find((each) => each.key === key) : undefined;
    if (!method && !event) return false;
    const entry = this.entry(place);
    if (event) {
      entry.event = entry.event === event.id ? "reading" : (event.id as Entry["event"]);
      this.changed();
    } else {
      entry.event = "reading";
      const tool = this.usual(method!.id);
      this.onwards(place, (other) => {
        other.method = method!.id;
        other.instrument = tool;
        if (!method!.units.includes(other.unit)) other.unit = usualUnit(method!.units, place.part);
      });
    }
    return true;
  }

  /** The tool last used for this way of reading, else the only one there is. */
  protected usual(method: string): number | null {
    const mine = this.sheet!.instruments.filter((each) => each.method === method);
    const used = Object.values(this.content!.entries).find(
      (entry) => entry.method === method && entry.instrument !== null,
    )?.instrument;
    return used ?? (mine.length === 1 ? mine[0]!.id : null);
  }

  instrumentsFor(method: string) {
    return this.sheet?.instruments.filter((each) => each.method === method) ?? [];
  }

  nextInstrument(place: Place): void {
    const mine = [null, ...this.instrumentsFor(this.entry(place).method).map((each) => each.id)];
    const next = mine[(mine.indexOf(this.entry(place).instrument) + 1) % mine.length]!;
    this.onwards(place, (other) => (other.instrument = next ?? null), this.entry(place).method);
  }

  nextMethod(place: Place): void {
    const methods = this.methods(place.part).filter((method) => method.id !== "photo");
    const next = methods[(methods.findIndex((method) => method.id === this.entry(place).method) + 1) % methods.length]!;
    this.pick(place, next.key);
  }

  nextUnit(place: Place): void {
    const units = this.methods(place.part).find((method) => method.id === this.entry(place).method)?.units ?? ["mm"];
    const unit = units[(units.indexOf(this.entry(place).unit) + 1) % units.length]!;
    this.onwards(place, (other) => (other.unit = unit), this.entry(place).method);
  }

  /** Only a brake pad can be read with its plate. */
  plated = (place: Place): boolean => place.part === "pad" && brakesAt(place.pad ?? "") === "disc";

  togglePlate(place: Place): void {
    if (!this.plated(place)) return;
    const overall = !this.entry(place).overall;
    this.onwards(place, (other) => (other.overall = overall));
  }

  /** A change of tool holds for the positions of that part still to come, as one keeps it in hand. */
  protected onwards(place: Place, change: (entry: Entry) => void, onlyMethod: string | null = null): void {
    const all = this.wheels.flatMap((wheel) => wheel.positions);
    for (const other of all.slice(all.findIndex((each) => each.id === place.id))) {
      const entry = this.entry(other);
      if (
        other.part !== place.part ||
        (other.id !== place.id && this.isFilled(other)) ||
        (onlyMethod && entry.method !== onlyMethod)
      )
        continue;
      change(entry);
    }
    this.changed();
  }

  /** Takes a thickness measured in a photo, for this position alone. */
  takePhoto(place: Place, { low, high, unit }: Schemas["PhotoMeasured"]): void {
    Object.assign(this.entry(place), {
      event: "reading",
      method: "photo",
      text: low,
      upper: high,
      unit,
      places: [],
      overall: false,
      instrument: null,
    });
  }

  toggleFit(axle: number, part: "pad" | "rotor" | "drum"): void {
    const key = `${axle}|${part}`;
    this.content!.fits = this.isNew(axle, part)
      ? this.content!.fits.filter((each) => each !== key)
      : [...this.content!.fits, key];
    this.changed();
  }

  marks(key: string): string[] {
    return this.content!.marks[key] ?? [];
  }

  /** Marks of one group exclude each other, and so do “sound” and everything else. */
  toggleMark(key: string, item: Schemas["LookedAt"], mark: Schemas["Mark"]): void {
    this.content!.marks[key] = toggled(this.marks(key), item.marks, mark);
    this.changed();
  }

  /** Every item of a wheel that has no mark yet is found in order. How many were. */
  allInOrder(wheel: Wheel): number {
    let found = 0;
    for (const [key, item] of this.rows(wheel)) {
      const good = item.marks.find((mark) => mark.good);
      if (!good || this.marks(key).length) continue;
      this.content!.marks[key] = [good.id];
      found += 1;
    }
    this.changed();
    return found;
  }

  /** [key, item, face] of everything to look at on a wheel. */
  rows(wheel: Wheel): [string, Schemas["LookedAt"], string][] {
    const items = (this.sheet?.items ?? []).filter((item) => wheel.items.includes(item.id));
    return items.flatMap((item) =>
      (item.faces.length ? item.faces : [""]).map((face): [string, Schemas["LookedAt"], string] => [
        `${wheel.axle}|${wheel.side}|${face}|${item.id}`,
        item,
        face,
      ]),
    );
  }
}
