import { describe, expect, it, vi } from "vitest";
import { Refusal, type Schemas } from "../src/api/client";
import { FormState } from "../src/parts/formState.svelte";
import { Loader } from "../src/parts/loader.svelte";

const refusal = (...fields: string[]) =>
  new Refusal(
    422,
    "Check what is marked.",
    fields.map((field) => ({ field, code: "missing", message: `${field} is wrong.` })),
  );

describe("a form", () => {
  it("keeps what was refused by field until it is taken, and throws on what is no refusal", async () => {
    const form = new FormState();
    expect(await form.act(() => Promise.reject(refusal("odometer.value", "date")))).toBe(false);
    expect([
      form.fault("odometer.value"),
      form.fault("odometer"),
      form.fault("note"),
      form.code("date"),
      form.first,
    ]).toEqual(["odometer.value is wrong.", "odometer.value is wrong.", "", "missing", "odometer.value is wrong."]);
    expect(form.busy).toBe(false);
    await expect(form.act(() => Promise.reject(new Error("ours")))).rejects.toThrow("ours");
    expect(await form.act(() => Promise.resolve())).toBe(true);
    expect([form.fault("date"), form.first]).toEqual(["", ""]);
    expect(await form.act(() => Promise.reject(new Refusal(409, "Changed elsewhere.", [])))).toBe(false);
    expect(form.first).toBe("Changed elsewhere.");
  });
});

describe("a loader", () => {
  it("never lets a slower earlier answer overwrite a later one, and keeps the old value beside an error", async () => {
    const loader = new Loader<string>();
    let slow: (value: string) => void = () => undefined;
    const first = loader.load(() => new Promise((resolve) => (slow = resolve)));
    await loader.load(() => Promise.resolve("later"));
    slow("earlier");
    await first;
    expect([loader.value, loader.loading]).toEqual(["later", false]);
    await loader.load(() => Promise.reject(new Error("gone")));
    expect([loader.value, String(loader.error)]).toEqual(["later", "Error: gone"]);
  });
});

describe("ticks", () => {
  const stored = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
  });
  vi.stubGlobal("addEventListener", () => undefined);

  it("read the whole plan again when another device has planned the job anew", async () => {
    const { JobPlanState } = await import("../src/parts/jobPlan.svelte");
    const { api } = await import("../src/api/client");
    const plan = {
      id: 1,
      state: "in_progress",
      planned: 7,
      ticked: [],
      halts: [],
      steps: [],
    } as unknown as Schemas["JobPlan"];
    const fresh = { ...plan, planned: 9, title: "Front: put back" };
    const read = vi.spyOn(api, "job").mockResolvedValue(fresh);
    const job = new JobPlanState(plan);
    const progress = {
      id: 1,
      state: "in_progress",
      ticked: [],
      waits_for: {},
      deviations: {},
      halted: false,
      torques: [],
    };
    job.answered({ ...progress, planned: 7 } as Schemas["JobProgress"], null);
    expect(read).not.toHaveBeenCalled();
    job.answered({ ...progress, planned: 9 } as Schemas["JobProgress"], null);
    await vi.waitFor(() => expect(job.plan).toMatchObject({ title: "Front: put back" }));
    expect(read).toHaveBeenCalledTimes(1);
  });

  it("say together what bolts and questions were left open", async () => {
    const { JobPlanState } = await import("../src/parts/jobPlan.svelte");
    const job = new JobPlanState({ id: 1, steps: [] } as unknown as Schemas["JobPlan"]);
    expect(job.unsaid).toBe("");
    job.answered(null, refusal("bolts.front.wheel_nut", "answer", "step"));
    expect(job.unsaid).toBe("bolts.front.wheel_nut is wrong. answer is wrong.");
  });

  it("change of a plan only what a tick changes", async () => {
    const { withProgress } = await import("../src/parts/jobPlan.svelte");
    const plan = {
      id: 1,
      state: "ready",
      ticked: [],
      title: "Front",
      steps: [
        { key: "a", waits_for: ["x"], deviation: "by hand" },
        { key: "b", waits_for: [], deviation: null },
      ],
    } as unknown as Schemas["JobPlan"];
    const after = withProgress(plan, {
      id: 1,
      state: "in_progress",
      ticked: ["a"],
      waits_for: { b: ["a"] },
      deviations: {},
      halted: false,
    });
    expect(after).toMatchObject({
      title: "Front",
      state: "in_progress",
      ticked: ["a"],
      steps: [
        { key: "a", waits_for: [], deviation: null },
        { key: "b", waits_for: ["a"], deviation: null },
      ],
    });
    expect(
      withProgress(
        { ...plan, steps: null },
        { id: 1, state: "in_progress", ticked: [], waits_for: {}, deviations: {}, halted: false },
      ).steps,
    ).toBeNull();
  });

  it("wait in the browser until the server answers, in their order, and a refusal is told", async () => {
    vi.useFakeTimers();
    const { api } = await import("../src/api/client");
    const { outbox } = await import("../src/parts/outbox.svelte");
    const heard: unknown[] = [];
    outbox.listen((progress, refused) => heard.push(progress ?? refused?.status));
    const tick = vi.spyOn(api, "tick").mockRejectedValueOnce(new Refusal(0, "unreachable", []));
    await outbox.add({ job: 1, steps: ["a"], done: true, seen: { a: "x1" } });
    expect([outbox.waiting.length, JSON.parse(stored.get("graver.outbox")!)]).toEqual([
      1,
      [{ job: 1, steps: ["a"], done: true, seen: { a: "x1" } }],
    ]);
    tick.mockResolvedValueOnce({ id: 1 } as never).mockRejectedValueOnce(refusal("step"));
    await outbox.add({ job: 1, steps: ["b"], done: true, seen: null });
    expect(tick.mock.calls.map((call) => call[1])).toEqual([["a"], ["a"], ["b"]]);
    expect([heard, outbox.waiting, stored.get("graver.outbox")]).toEqual([[{ id: 1 }, 422], [], "[]"]);
    vi.useRealTimers();
  });
});
