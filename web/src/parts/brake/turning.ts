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

/** What is painted is put in anew while it moves: a press may have begun on a shape that is gone. */
const partAt = (shape: Element | null): string | undefined =>
  shape?.closest<SVGElement>("[data-part]")?.dataset["part"];

/** Turns a picture by dragging it (a finger's way up and down scrolls the page) or with arrow keys; tells of taps. */
export function turning(box: HTMLElement, given: Turned) {
  let at = given;
  let grip: { x: number; y: number; moved: boolean } | null = null;
  const on = <Kind extends keyof HTMLElementEventMap>(kind: Kind, heard: (event: HTMLElementEventMap[Kind]) => void) =>
    box.addEventListener(kind, heard);

  // However many times a finger is heard, the picture is turned once a frame.
  let owed: [right: number, down: number] | null = null;
  function dragBy(right: number, down: number) {
    if (owed) return void (owed = [owed[0] + right, owed[1] + down]);
    owed = [right, down];
    requestAnimationFrame(() => {
      at.picture.turnBy(...owed!);
      owed = null;
    });
  }

  on("pointerdown", (event) => (grip = { x: event.clientX, y: event.clientY, moved: false }));
  on("pointermove", (event) => {
    if (!grip) return;
    const finger = event.pointerType === "touch";
    const [right, down] = [event.clientX - grip.x, event.clientY - grip.y];
    if (!grip.moved && Math.abs(right) < STILL_PX && (finger || Math.abs(down) < STILL_PX)) return;
    if (!grip.moved) box.setPointerCapture(event.pointerId);
    dragBy(right * DEGREES_PER_PX, finger ? 0 : down * DEGREES_PER_PX);
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
    const part = partAt(event.target as Element) ?? partAt(document.elementFromPoint(event.clientX, event.clientY));
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
