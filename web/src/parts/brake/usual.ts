import { lazyApi } from "../../api/lazyApi";
import type { Schemas } from "../../api/client";

const asked = new Map<string, Promise<Schemas["CornerDrawing"]>>();

/** The drawing of a usual brake of a kind, fetched once. */
export function usualBrake(kind: string): Promise<Schemas["CornerDrawing"]> {
  if (!asked.has(kind)) {
    const drawing = lazyApi.usualDrawing(kind);
    drawing.catch(() => asked.delete(kind));
    asked.set(kind, drawing);
  }
  return asked.get(kind)!;
}
