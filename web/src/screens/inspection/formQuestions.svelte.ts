import { tokens } from "../../format/readings";
import type { Schemas } from "../../api/client";
import { settles, type Doubt, type Place } from "./inspectionContent";
import { FormEntries } from "./formEntries.svelte";

type Question = Schemas["Question"];

const MOST_PLACES = 12;

/** The preview of each entry, its questions, and their answers. */
export abstract class FormQuestions extends FormEntries {
  preview = $state.raw<Schemas["Preview"] | null>(null);
  /** the question last put at a position, and the value it was about */
  #asked: Record<string, Doubt> = {};

  measured(place: Place): Schemas["PositionRead"] | undefined {
    const at = this.indexOf(place);
    return this.preview?.positions.find((line) => line.at === at);
  }

  /** Another value is another question: what was answered before does not count for it, and stays on file. */
  retyped(place: Place): void {
    const entry = this.entry(place);
    const asked = this.#asked[place.id];
    // Half a number is still being typed, not measured again.
    const typingOn = asked?.value && entry.text.trim().startsWith(asked.value);
    if (asked && !typingOn && !entry.flags.some((doubt) => doubt.value === asked.value && doubt.code === asked.code))
      entry.flags.push({ ...asked, answer: "again" });
    entry.answer = null;
    this.changed();
  }

  questionAt(place: Place): Question | null {
    return this.measured(place)?.question ?? null;
  }

  answer(place: Place, answer: Schemas["QuestionAnswer"]): void {
    const question = this.questionAt(place);
    if (!question) return;
    const entry = this.entry(place);
    if (settles(answer.id)) {
      entry.answer = entry.answer === answer.id ? null : answer.id;
    } else {
      this.#note(place, question, answer.id as Doubt["answer"]);
      if (answer.id === "other_unit" && answer.unit) entry.unit = answer.unit;
      if (answer.id === "with_plate") entry.overall = true;
      if (answer.id === "fitted") this.#fit(place);
      if (answer.id === "swap") this.#swap(place, question);
    }
    this.changed();
  }

  /** New parts went on where this was read: the readings of the axle are theirs. */
  #fit(place: Place): void {
    const axle = this.wheels.find((wheel) => wheel.positions.some((other) => other.id === place.id))!.axle;
    if (!this.isNew(axle, place.part)) this.toggleFit(axle, place.part as "pad" | "rotor" | "drum");
  }

  #note(place: Place, question: Question, answer: Doubt["answer"]): void {
    this.entry(place).flags.push({
      code: question.code,
      question: question.sentence,
      value: this.values(place)[0] ?? null,
      unit: this.entry(place).unit,
      answer,
    });
  }

  #swap(place: Place, question: Question): void {
    const [, other] = this.filled[question.other! - this.content!.fits.length] ?? [];
    if (!other) return;
    this.#note(other, question, "swap");
    const [mine, theirs] = [this.entry(place), this.entry(other)];
    const [text, places, upper] = [mine.text, mine.places, mine.upper];
    [mine.text, mine.places, mine.upper] = [theirs.text, theirs.places, theirs.upper];
    [theirs.text, theirs.places, theirs.upper] = [text, places, upper];
  }

  answerOdometer(answer: Schemas["QuestionAnswer"]): void {
    if (answer.id === "keep") this.content!.keepOdometer = true;
    if (answer.id === "other_unit" && answer.unit) this.content!.unit = answer.unit as "km" | "mi";
    this.changed();
  }

  /** Takes a place of several and makes room for the next. */
  takePlace(place: Place): boolean {
    const entry = this.entry(place);
    if (!entry.text.trim() || entry.places.length >= Math.min(place.places, MOST_PLACES) - 1) return false;
    entry.places.push(...tokens(entry.text));
    entry.text = "";
    this.changed();
    return true;
  }

  dropPlace(place: Place, at: number): void {
    this.entry(place).places.splice(at, 1);
    this.retyped(place);
  }

  /** The open questions, to compare when another value is typed. */
  protected remember(): void {
    for (const [, place] of this.filled) {
      const question = this.questionAt(place);
      if (question)
        this.#asked[place.id] = {
          code: question.code,
          question: question.sentence,
          value: this.values(place)[0] ?? null,
          unit: this.entry(place).unit,
          answer: "again",
        };
      else delete this.#asked[place.id];
    }
  }

  /** Its index in the request. */
  protected indexOf(place: Place): number {
    return this.content!.fits.length + this.filled.findIndex(([, other]) => other.id === place.id);
  }
}
