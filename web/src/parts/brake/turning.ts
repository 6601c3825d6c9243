import type { Picture } from "./picture.svelte";

interface Turned {
  picture: Picture;
  /** Told the part that was tapped, by id. */
  tap: (part: string) => void;
}

const DEGREES_PER_PX = 0.6;
/** A finger or mouse that moved less has tapped. */
const STILL_PX = 6;
const ARROWS: Record<string, [right: number, down: number]> = {
  ArrowLeft: [-10, 0],
  ArrowRight: [10, 0],
  ArrowUp: [0, -8],
  ArrowDown: [0, 8],
};

/** Turns a picture by dragging it (a finger's way up and down scrolls the page) or with arrow keys; tells of taps. */
export function turning(box: HTMLElement, given: Turned) {
  let at = given;
  let grip: { x: number; y: number; moved: boolean } | null = null;
  const on = <Kind extends keyof HTMLElementEventMap>(kind: Kind, heard: (event: HTMLElementEventMap[Kind]) => void) =>
    box.addEventListener(kind, heard);

  on("pointerdown", (event) => (grip = { x: event.clientX, y: event.clientY, moved: false }));
  on("pointermove", (event) => {
    if (!grip) return;
    const finger = event.pointerType === "touch";
    const [right, down] = [event.clientX - grip.x, event.clientY - grip.y];
    if (!grip.moved && Math.abs(right) < STILL_PX && (finger || Math.abs(down) < STILL_PX)) return;
    if (!grip.moved) box.setPointerCapture(event.pointerId);
    at.picture.turnBy(right * DEGREES_PER_PX, finger ? 0 : down * DEGREES_PER_PX);
    grip = { x: event.clientX, y: event.clientY, moved: true };
  });
  let dragged = false;
  const leave = () => {
    dragged = grip?.moved ?? false;
    grip = null;
  };
  on("pointerup", leave);
  on("pointercancel", leave);
  on("click", (event) => {
    const part = (event.target as Element).closest<SVGElement>("[data-part]")?.dataset["part"];
    if (part && !dragged) at.tap(part);
  });
  on("keydown", (event) => {
    const by = ARROWS[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    at.picture.turnBy(...by);
  });
  return { update: (changed: Turned) => (at = changed) };
}
