import { SMALL, type Point, type Vector } from "./body";
import { painted } from "./colours";
import { camera, flat, TILT, TURN, type Camera } from "./camera";
import { Arrangement, paint, visibleShare, type Item } from "./painter";
import { Scene, type Part } from "./scene";

/** What a picture shows: parts off their place, moved out or in, not drawn, and those it is about. */
export interface Shown {
  off: string[];
  out: string[];
  in: string[];
  hidden: string[];
  of: string[];
}
/** Lines of text at a part. */
export interface Label {
  part: string;
  lines: string[];
}
export interface Written {
  lines: string[];
  x: number;
  y: number;
  end: "start" | "end";
  leader: string;
}
/** How far along its way a part is drawn that a step moves, of 1. */
const REST = 0.6;
/** A view is good enough when this share of what it is about can be seen. */
const ENOUGH = 0.55;
/** With less, it is inside something: that is drawn so that one sees through it. */
const LITTLE = 0.25;
const VIEWS = [TURN, 180 - TURN, -TURN, TURN - 180];
const TILTS = { least: -10, most: 70 };
const MARGIN = 10;
const LINE = 20;
/** For the words under the picture. */
const BELOW = 30;
const FIRST_LINE = 18;
const STEPS = 40;
/** After so long without a turn, all is drawn again. */
const STILL_MS = 180;
/** How long a part stays at its place before it jumps. */
const JUMP_MS = 900;
/** Of a picture, in px. */
const TALLEST = 430;

/** A brake as it is looked at: turned, taken apart, its parts on their way. */
export class Picture {
  turn = $state(TURN);
  tilt = $state(TILT);
  /** Everything is off its place. */
  apart = $state(false);
  /** While it turns or moves, small parts are drawn plainly, so that a slow phone keeps up. */
  coarse = $state(false);
  #still: ReturnType<typeof setTimeout> | undefined;
  /** 0 to 1: how far what the step moves has come. */
  moved = $state(REST);
  width = $state(360);
  /** The part that was tapped, in colour in place of those it is about. */
  picked = $state<string | null>(null);
  /** Parts drawn from values that are missing are dashed. */
  dashed = $state(false);
  /** What it is about is inside something else. */
  readonly inside: boolean;
  #scene: Scene;
  #shown: Shown;
  #labels: Label[];
  readonly #ratio: number;

  constructor(
    parts: Part[],
    shown: Shown,
    labels: Label[],
    ratio: number,
    private readonly tallest = TALLEST,
  ) {
    this.#scene = new Scene(parts);
    this.#shown = shown;
    this.#labels = labels;
    this.#ratio = ratio;
    const [turn, share] = this.#best();
    this.turn = turn;
    this.inside = share < LITTLE;
  }

  get height(): number {
    return Math.round(Math.min(this.width * this.#ratio, this.tallest));
  }
  get behind(): boolean {
    return this.camera.towards[0] < 0;
  }
  readonly camera: Camera = $derived.by(() => camera(this.turn, this.tilt));

  /** How far off its place a part is, of 1. */
  off = (id: string): number => {
    const { out, in: back, off } = this.#shown;
    if (this.apart) return this.#scene.parts.get(id)?.off_when ? 1 : 0;
    if (out.includes(id)) return this.moved;
    if (back.includes(id)) return 1 - this.moved;
    return off.includes(id) ? 1 : 0;
  };
  drawn = (id: string): boolean => !this.#shown.hidden.includes(id);

  readonly #arranged = $derived.by(() => new Arrangement(this.#scene.placed(this.off, this.drawn)));
  readonly items: Item[] = $derived.by(() => paint(this.#arranged, this.camera, this.coarse));

  /** From mm on the picture to px of its box: what is drawn fills what the labels leave. */
  readonly #fit = $derived.by(() => {
    const xs = this.items.flatMap((item) => [item.box[0], item.box[1]]);
    const ys = this.items.flatMap((item) => [item.box[2], item.box[3]]);
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const band = this.#rows * LINE;
    const room = { x: this.width - 2 * MARGIN, y: this.height - MARGIN - band - BELOW };
    const scale = Math.max(Math.min(room.x / (right - left), room.y / (bottom - top)), 0.01);
    return {
      scale,
      x: (this.width - (left + right) * scale) / 2,
      y: (this.height + MARGIN + band - BELOW - (top + bottom) * scale) / 2,
    };
  });
  /** Rows of text kept free above. */
  get #rows(): number {
    return Math.min(
      this.#labels.reduce((sum, label) => sum + label.lines.length, 0),
      4,
    );
  }
  /** Classes of a part's shapes beside what it is painted as. */
  marked = (id: string): string => {
    const part = this.#scene.parts.get(id);
    const now = this.#current(id);
    const through = this.inside && !this.apart && !now;
    return [now && "now", through && "through", this.dashed && !part?.known && "unknown"].filter(Boolean).join(" ");
  };
  #current = (id: string): boolean => (this.picked === null ? this.#shown.of.includes(id) : id === this.picked);

  /** What is painted, as SVG: numbers and ids alone, put in at once as that takes a third of the time. */
  readonly markup: string = $derived.by(() => {
    const { scale, x, y } = this.#fit;
    // In tenths of a px: whole numbers are written faster.
    const spot = ([right, down]: Point): string =>
      `${Math.round((right * scale + x) * 10)} ${Math.round((down * scale + y) * 10)}`;
    const path = (points: Point[]): string => `M${points.map(spot).join("L")}Z`;
    // A line that goes on where the last one ended is drawn in one go with it.
    const edges = (lines: [Point, Point][]): string => {
      let [d, last] = ["", ""];
      for (const [from, to] of lines) {
        const start = spot(from);
        d += start === last ? "" : `M${start}`;
        last = spot(to);
        d += `L${last}`;
      }
      return d;
    };
    return this.items
      .map((item) => {
        const { part, stuff, size } = item.placed.body;
        const [small, now] = [size < SMALL, this.#current(part)];
        const plain = this.coarse && small;
        const byColour = new Map<string, string>();
        for (const face of item.faces) {
          const colour = painted(stuff, now, plain ? 0.5 : face.light, small);
          const whole = path(face.points) + (face.hole ? path(face.hole) : "");
          byColour.set(colour, (byColour.get(colour) ?? "") + whole);
        }
        const faces = [...byColour].map(([colour, d]) => `<path fill="${colour}" d="${d}"/>`).join("");
        const lines = plain ? "" : `<path class="edge" d="${edges(item.lines)}"/>`;
        return `<g class="${this.marked(part)}" data-part="${part}">${faces}${lines}</g>`;
      })
      .join("");
  });

  /** The middle of a part on the picture, in px: of what of it is drawn last. */
  #anchor(part: string): Point | null {
    const mine = this.items.filter((item) => item.placed.body.part === part).at(-1);
    if (!mine) return null;
    const { scale, x, y } = this.#fit;
    return [((mine.box[0] + mine.box[1]) / 2) * scale + x, ((mine.box[2] + mine.box[3]) / 2) * scale + y];
  }

  /** Labels above the picture, on the side of their part, each with a line to it. */
  readonly written: Written[] = $derived.by(() => {
    let row = 0;
    return this.#labels.flatMap((label) => {
      const anchor = this.#anchor(label.part);
      if (!anchor) return [];
      const end = anchor[0] < this.width / 2 ? "start" : "end";
      const x = end === "start" ? MARGIN : this.width - MARGIN;
      const y = FIRST_LINE + row * LINE;
      row += label.lines.length;
      const from = `${end === "start" ? x + 24 : x - 24} ${y + (label.lines.length - 1) * LINE + 5}`;
      return [{ lines: label.lines, x, y, end, leader: `M${from}L${anchor.map((each) => each.toFixed(1)).join(" ")}` }];
    });
  });

  /** Which way the parts of the step go. */
  readonly arrow: string | null = $derived.by(() => {
    if (this.apart) return null;
    const { out, in: back } = this.#shown;
    const id = [...out, ...back].find((each) => this.#shown.of.includes(each) && this.#anchor(each));
    const part = id && this.#scene.parts.get(id);
    if (!part) return null;
    const way = flat(this.camera, part.way as unknown as Vector);
    const length = Math.hypot(...way) * this.#fit.scale;
    if (length < 12) return null;
    const [x, y] = this.#anchor(part.id)!;
    const sign = out.includes(part.id) ? 1 : -1;
    const unit: Point = [(way[0] * this.#fit.scale * sign) / length, (way[1] * this.#fit.scale * sign) / length];
    const [from, to] = [14, Math.min(Math.max(length * 0.5, 34), 70)];
    const tip: Point = [x + unit[0] * to, y + unit[1] * to];
    const wing = (turn: number): string =>
      `${(tip[0] - 11 * (unit[0] * Math.cos(turn) - unit[1] * Math.sin(turn))).toFixed(1)} ${(tip[1] - 11 * (unit[0] * Math.sin(turn) + unit[1] * Math.cos(turn))).toFixed(1)}`;
    return `M${(x + unit[0] * from).toFixed(1)} ${(y + unit[1] * from).toFixed(1)}L${tip.map((each) => each.toFixed(1)).join(" ")}M${wing(0.5)}L${tip.map((each) => each.toFixed(1)).join(" ")}L${wing(-0.5)}`;
  });

  /** The first view from which enough of what it is about can be seen, else the best of them, with the share seen. */
  #best(): [turn: number, share: number] {
    const { of } = this.#shown;
    if (!of.length) return [TURN, 1];
    const arranged = new Arrangement(this.#scene.placed(this.off, this.drawn));
    let [best, most] = [TURN, -1];
    for (const view of VIEWS) {
      const share = visibleShare(paint(arranged, camera(view, TILT)), (body) => of.includes(body.part));
      if (share >= ENOUGH) return [view, share];
      if (share > most) [best, most] = [view, share];
    }
    return [best, most];
  }

  #turning(): void {
    this.coarse = true;
    clearTimeout(this.#still);
    this.#still = setTimeout(() => (this.coarse = false), STILL_MS);
  }
  turnBy(right: number, down: number): void {
    this.#turning();
    this.turn = ((this.turn - right + 540) % 360) - 180;
    this.tilt = Math.min(Math.max(this.tilt + down, TILTS.least), TILTS.most);
  }
  /** From the other side of the wheel. */
  turnRound(): void {
    this.turn = ((180 - this.turn + 540) % 360) - 180;
  }

  /** Moves what the step moves along its way, once; in one jump where motion is not wanted. */
  play(): () => void {
    if (this.#shown.out.length + this.#shown.in.length === 0) return () => {};
    if (matchMedia("(prefers-reduced-motion: reduce)").matches) return this.#jump();
    let frame = 0;
    let at = 0;
    const next = () => {
      at++;
      const t = at / STEPS;
      this.moved = REST * (1 - (1 - t) ** 3);
      if (at < STEPS) frame = requestAnimationFrame(next);
      else this.coarse = false;
    };
    this.moved = 0;
    this.coarse = true;
    frame = requestAnimationFrame(next);
    return () => {
      cancelAnimationFrame(frame);
      this.coarse = false;
      this.moved = REST;
    };
  }

  #jump(): () => void {
    this.moved = 0;
    const jump = setTimeout(() => (this.moved = REST), JUMP_MS);
    return () => clearTimeout(jump);
  }
}
