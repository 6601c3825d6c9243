import { describe, expect, it, vi } from "vitest";
import { changed, type Schemas } from "../src/api/client";
import { asItWas } from "../src/screens/loggedInspection/correction.svelte";
import { undo } from "../src/parts/undo.svelte";

describe("undo", () => {
  it("takes back the last change, and nothing once another one came after it", async () => {
    const back = vi.fn(() => Promise.resolve());
    undo.offer("Mule archived.", back);
    await undo.take();
    expect(back).toHaveBeenCalledOnce();
    expect(undo.last).toBeNull();

    undo.offer("Mule archived.", back);
    changed.tell();
    expect(undo.last).toBeNull();
    await undo.take();
    expect(back).toHaveBeenCalledOnce();
  });

  it("is not overtaken by what it does itself, and stays the last when it is refused", async () => {
    undo.offer("Two things.", () => {
      changed.tell();
      return Promise.resolve();
    });
    const offered = undo.last;
    await undo.take();
    expect(undo.last).toBeNull();
    undo.offer("Refused.", () => Promise.reject(new Error("no")));
    await expect(undo.take()).rejects.toThrow("no");
    expect(undo.last?.said).toBe("Refused.");
    expect(offered).not.toBe(undo.last);
    undo.clear();
  });
});

describe("a correction taken back", () => {
  const logged = {
    date: "2026-05-10",
    void: false,
    odometer: { value: "60000", unit: "km" },
    readings: [{ id: 3, value: "8.1", upper: null, unit: "mm", void: false }],
    marks: [
      { id: 5, mark_id: "seized", entered: "seized", void: false },
      { id: 6, mark_id: null, entered: "1/2", void: false },
    ],
  } as unknown as Schemas["LoggedInspection"];

  it("puts back just what was changed", () => {
    expect(asItWas(logged, { reading: 3, value: "7.9" })).toEqual({ reading: 3, value: "8.1" });
    expect(asItWas(logged, { reading: 3, void: true })).toEqual({ reading: 3, void: false });
    expect(asItWas(logged, { condition: 5, mark: "free" })).toEqual({ condition: 5, mark: "seized" });
    expect(asItWas(logged, { condition: 6, value: "3/4" })).toEqual({ condition: 6, value: "1/2" });
    expect(asItWas(logged, { date: "2026-05-11", odometer: { value: "60100", unit: "km" } })).toEqual({
      date: "2026-05-10",
      odometer: { value: "60000", unit: "km" },
    });
  });
});
