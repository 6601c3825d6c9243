import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../src/api/client";

const stored = new Map<string, string>();
vi.stubGlobal("localStorage", {
  getItem: (key: string) => stored.get(key) ?? null,
  setItem: (key: string, value: string) => void stored.set(key, value),
});
vi.stubGlobal("addEventListener", () => undefined);
const { JobPlanState } = await import("../src/parts/jobPlan.svelte");
const { Bolts } = await import("../src/screens/atTheCar/bolts.svelte");
const { Reads } = await import("../src/screens/atTheCar/reads.svelte");
const { Course } = await import("../src/screens/atTheCar/jobWalkthrough.svelte");
const { lazyApi } = await import("../src/api/lazyApi");

type Plan = Schemas["JobPlan"];
const line = (more: object = {}) =>
  ({
    axle: "front",
    fastener: "pin",
    count: 2,
    star: null,
    wrench: null,
    entered_unit: "lbf·ft",
    newton_metres: 28,
    angle_degrees: null,
    ...more,
  }) as unknown as Schemas["TorqueBrief"];
const torqued = (bolt: number, verdict: string, more: object = {}) => ({
  step: "in",
  axle: "front",
  fastener: "pin",
  bolt,
  verdict,
  ...more,
});
const step = (key: string, more: object = {}) =>
  ({
    key,
    joins: false,
    waits_for: [],
    deviation: null,
    tighten: [],
    reads: [],
    ...more,
  }) as unknown as Schemas["JobStep"];
const plan = (more: object = {}) =>
  ({
    id: 1,
    state: "in_progress",
    vehicle: { id: 3 },
    odometer: { value: "60000", unit: "mi", known: false },
    ticked: [],
    torques: [],
    steps: [],
    halts: [],
    marks: [],
    dropped: [],
    set_aside: [],
    ...more,
  }) as unknown as Plan;

afterEach(() => vi.restoreAllMocks());

describe("the bolts of a line", () => {
  it("are tight only by a verdict that says so, of the same step, axle and fastener", () => {
    const all = ["ok", "clicked", "kept", "felt", "under", "undone", "over"];
    const job = new JobPlanState(plan({ torques: all.map((verdict, at) => torqued(at + 1, verdict)) }));
    const bolts = new Bolts(job, "in", line({ count: 7 }));
    expect(all.map((_, at) => bolts.tight(at + 1))).toEqual([true, true, true, true, false, false, false]);
    expect(bolts.missing).toEqual([5, 6, 7]);
    for (const other of [{ step: "off" }, { axle: "rear" }, { fastener: "bracket" }])
      expect(new Bolts(new JobPlanState(plan({ torques: [torqued(1, "ok", other)] })), "in", line()).missing).toEqual([
        1, 2,
      ]);
  });

  it("follow the star of each wheel, and are named with their side where both wheels have them", () => {
    const job = new JobPlanState(plan());
    const nuts = new Bolts(job, "in", line({ count: 10, star: [1, 3, 5, 2, 4] }));
    expect(nuts.numbers).toEqual([1, 3, 5, 2, 4, 6, 8, 10, 7, 9]);
    expect([nuts.name(5), nuts.name(6)]).toEqual(["left 5", "right 1"]);
    expect(new Bolts(job, "in", line({ count: 5, star: [1, 3, 5, 2, 4] })).name(5)).toBe("5");
  });

  it("are sent with what was typed, in the unit of the wrench, and stay open while refused", async () => {
    const job = new JobPlanState(plan());
    const bolts = new Bolts(job, "in", line({ wrench: { wrench: "Click", unit: "lbf·in" } }));
    expect([bolts.unit, new Bolts(job, "in", line()).unit]).toEqual(["lbf·in", "lbf·ft"]);
    const { Refusal } = await import("../src/api/client");
    const sent = vi
      .spyOn(lazyApi, "recordTorque")
      .mockRejectedValueOnce(new Refusal(422, "no", [{ field: "answer", code: "over", message: "Too far" }]));
    bolts.enter(2);
    [bolts.reached, bolts.angle] = [" 250 ", "  "];
    await bolts.save();
    expect([bolts.open, bolts.form.code("answer")]).toEqual([2, "over"]);
    sent.mockResolvedValueOnce({ id: 1, torques: [], waits_for: {}, deviations: {}, ticked: [] } as never);
    await bolts.save("renewed");
    expect(sent.mock.calls.at(-1)![1]).toMatchObject({
      bolts: [2],
      reached: "250",
      angle: null,
      unit: "lbf·in",
      answer: "renewed",
      wrench: "Click",
    });
    expect(bolts.open).toBeNull();
  });

  it("say what the step said, and read it again where it says something else by now", async () => {
    const steps = [{ key: "in", said: "a1", tighten: [] }];
    const job = new JobPlanState(plan({ steps } as never));
    const { api, Refusal } = await import("../src/api/client");
    const recorded = vi.spyOn(lazyApi, "recordTorque").mockRejectedValueOnce(new Refusal(412, "changed", []));
    const now = plan({ steps: [{ ...steps[0], said: "b2" }] } as never);
    vi.spyOn(api, "job").mockResolvedValueOnce(now);
    await new Bolts(job, "in", line()).clicked([1]);
    expect(recorded.mock.calls.at(-1)![1].seen).toBe("a1");
    await vi.waitFor(() => expect(job.said("in")).toBe("b2"));
    expect(job.form.refused?.status).toBe(412);
  });

  it("says of a bolt with an angle that it was turned through it when it clicked", async () => {
    const recorded = vi.spyOn(lazyApi, "recordTorque").mockResolvedValue(plan() as never);
    await new Bolts(new JobPlanState(plan()), "in", line({ angle_degrees: 90 })).clicked([1]);
    await new Bolts(new JobPlanState(plan()), "in", line()).clicked([2]);
    expect(recorded.mock.calls.map(([, given]) => [given.bolts, given.angle])).toEqual([
      [[1], "90"],
      [[2], undefined],
    ]);
  });

  it("take torque and angle from a wrench that sends, and say that it is simulated", async () => {
    const bolts = new Bolts(new JobPlanState(plan()), "in", line({ angle_degrees: 90 }));
    vi.spyOn(lazyApi, "deviceReading").mockImplementation((_, asked) =>
      Promise.resolve({ value: asked.quantity === "angle" ? "91" : "28.3", unit: "N·m", simulated: true } as never),
    );
    await bolts.read("wrench");
    expect([bolts.reached, bolts.unit, bolts.angle, bolts.simulated]).toEqual(["28.3", "N·m", "91", true]);
  });
});

describe("readings at a step", () => {
  const ask = (id: string, more: object = {}) =>
    ({
      id,
      kind: "reading",
      axle_id: 5,
      part: "pad",
      side: "left",
      pad: "inner",
      key: null,
      method: "caliper",
      unit: "in",
      marked: [],
      said: null,
      ...more,
    }) as unknown as Schemas["StepRead"];
  let sent: Schemas["JobReadings"];
  beforeEach(() => {
    vi.spyOn(lazyApi, "recordReadings").mockImplementation(
      (_, readings) => ((sent = readings), Promise.resolve(plan())),
    );
  });

  it("split as at the desk: places, one figure with its unit, one mixed number", async () => {
    const reads = new Reads(new JobPlanState(plan()), "in", [ask("a"), ask("b"), ask("c")]);
    [reads.values.a, reads.values.b, reads.values.c] = ["1 1/32", " 24.1 mm ", "8.4 8,1"];
    await reads.save();
    expect(sent.readings!.map((each) => each.values)).toEqual([["1 1/32"], ["24.1 mm"], ["8.4", "8,1"]]);
    expect(sent.readings![0]).toMatchObject({
      axle: 5,
      part: "pad",
      side: "left",
      pad: "inner",
      method: "caliper",
      unit: "in",
    });
    expect([reads.values, reads.saved, reads.dirty]).toEqual([{}, true, false]);
  });

  it("say an event in place of a figure, and the odometer in its own unit until it is known", async () => {
    const reads = new Reads(new JobPlanState(plan()), "in", [
      ask("a"),
      ask("b", { kind: "data", key: "rotor.discard_thickness", unit: "mm" }),
    ]);
    [reads.methods.a, reads.values.a, reads.values.b] = ["metal", "2", "22"];
    expect(reads.wantsOdometer).toBe(true);
    await reads.save();
    expect(sent.readings![0]).toMatchObject({ event: "metal", answer: null });
    expect(sent.readings![0]).not.toHaveProperty("values");
    expect([sent.odometer, sent.data]).toEqual([
      { value: "60000", unit: "mi", keep: false },
      [{ axle: 5, key: "rotor.discard_thickness", value: "22", unit: "mm" }],
    ]);
    expect(
      new Reads(new JobPlanState(plan({ odometer: { value: "1", unit: "km", known: true } })), "in", [ask("a")])
        .wantsOdometer,
    ).toBe(false);
  });

  it("keep what is refused, at its own field", async () => {
    const { Refusal } = await import("../src/api/client");
    vi.spyOn(lazyApi, "recordReadings").mockRejectedValueOnce(
      new Refusal(422, "no", [{ field: "readings.0.values", code: "questioned", message: "Sure?" }]),
    );
    const reads = new Reads(new JobPlanState(plan()), "in", [ask("empty"), ask("b")]);
    reads.values.b = "8";
    expect(await reads.save()).toBe(false);
    expect([
      reads.fault(reads.asks[1]!),
      reads.questioned(reads.asks[1]!),
      reads.questioned(reads.asks[0]!),
      reads.values.b,
    ]).toEqual(["Sure?", true, false, "8"]);
    await reads.answer(reads.asks[1]!, "affirmed");
  });

  it("unmark what was tapped away", async () => {
    const mark = (id: string, good = false) => ({ id, label: id, good, group: null }) as unknown as Schemas["Mark"];
    const marks = [{ item: "pins", marks: [mark("free", true), mark("stiff")] }];
    const asked = ask("m", { kind: "marks", key: "pins", marked: ["stiff"] });
    const job = new JobPlanState(plan({ marks, steps: [step("in", { reads: [asked] })] }));
    const reads = new Reads(job, "in", [asked]);
    expect(reads.held(asked)).toEqual(["stiff"]);
    reads.tap(asked, reads.choices(asked)[1]!);
    expect([reads.held(asked), reads.dirty]).toEqual([[], true]);
    await reads.save();
    expect([sent.conditions, sent.unmarked]).toEqual([[], [{ item: "pins", axle: 5, side: "left", face: "inner" }]]);
  });
});

describe("the way through a job", () => {
  const job = () =>
    new JobPlanState(
      plan({
        ticked: ["a"],
        steps: [
          step("a"),
          step("b", { joins: true }),
          step("c", { waits_for: ["b", "a"], tighten: [line()] }),
          step("d", { deviation: "by hand" }),
        ],
      }),
    );

  it("stands at the first open group, or at the step that is named", () => {
    const course = new Course(job());
    expect([course.now!.key, course.moves.length, course.doneCount]).toEqual(["a", 3, 1]);
    course.at = "d";
    expect([course.now!.key, course.previous!.key, course.next]).toEqual(["d", "c", undefined]);
  });

  it("waits for open groups outside it alone, and names its loose bolts", () => {
    const course = new Course(job());
    const [first, second] = course.moves;
    expect(course.waitsFor(second!).map((each) => each.key)).toEqual(["a"]);
    expect(course.waitsFor(first!)).toEqual([]);
    expect(course.loose(second!).map(([bolts, missing]) => [bolts.step, missing])).toEqual([["c", [1, 2]]]);
    course.job.plan = {
      ...course.job.plan!,
      torques: [torqued(1, "ok", { step: "c" }), torqued(2, "clicked", { step: "c" })] as never,
    };
    expect(course.loose(second!)).toEqual([]);
  });

  it("saves what is typed at a group before it goes on, and stays where it is refused", async () => {
    const course = new Course(job());
    const reads = course.reads(
      step("b", { reads: [{ id: "x", kind: "figure", key: "level", method: null, unit: null }] }),
    );
    expect(await course.saveReads(course.moves[0]!)).toBe(true);
    reads.values.x = "half";
    const { Refusal } = await import("../src/api/client");
    vi.spyOn(lazyApi, "recordReadings")
      .mockRejectedValueOnce(new Refusal(422, "no", []))
      .mockResolvedValueOnce(plan());
    expect([await course.saveReads(course.moves[0]!), await course.saveReads(course.moves[0]!)]).toEqual([false, true]);
  });
});

describe("a job that another device works on too", () => {
  const progress = (more: object) =>
    ({
      id: 1,
      state: "in_progress",
      planned: null,
      ticked: [],
      ticked_by: {},
      waits_for: {},
      deviations: {},
      torques: [],
      halted: false,
      ...more,
    }) as unknown as Schemas["JobProgress"];
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal("document", { visibilityState: "visible" });
  });
  afterEach(() => vi.useRealTimers());

  it("takes what was ticked there, says who did it, and is left alone while nothing is new", async () => {
    const job = new JobPlanState(plan({ planned: null, ticked_by: {}, steps: [step("judge"), step("pads_out")] }));
    const course = new Course(job);
    const stop = course.watch();
    const asked = vi.spyOn(lazyApi, "progress").mockResolvedValue(progress({}));
    const before = job.plan;
    await vi.advanceTimersByTimeAsync(3100);
    expect([asked.mock.calls.length, job.plan === before, course.news]).toEqual([1, true, null]);
    const by = { judge: { person: "Nora", at: "2026-05-16T10:00:00Z" } };
    asked.mockResolvedValue(progress({ ticked: ["judge"], ticked_by: by }));
    await vi.advanceTimersByTimeAsync(3000);
    expect(job.plan!.ticked).toEqual(["judge"]);
    expect([course.news!.person, course.news!.steps.map((each) => each.key)]).toEqual(["Nora", ["judge"]]);
    asked.mockResolvedValue(progress({ ticked: ["judge", "pads_out"], ticked_by: by }));
    await vi.advanceTimersByTimeAsync(3000);
    // of nobody's name: told apart from what Nora did
    expect([course.news!.person, course.news!.steps.map((each) => each.key)]).toEqual([null, ["pads_out"]]);
    stop();
    await vi.advanceTimersByTimeAsync(9000);
    expect(asked).toHaveBeenCalledTimes(3);
  });

  it("takes no answer that is older than a tick of its own, and asks for none while hidden or closed", async () => {
    const { outbox } = await import("../src/parts/outbox.svelte");
    const job = new JobPlanState(plan({ planned: null, ticked_by: {}, steps: [step("judge")] }));
    const stop = job.follow();
    let answer: (of: Schemas["JobProgress"]) => void = () => undefined;
    const asked = vi.spyOn(lazyApi, "progress").mockReturnValueOnce(new Promise((done) => (answer = done)));
    await vi.advanceTimersByTimeAsync(3100);
    outbox.sent += 1;
    job.plan = { ...job.plan!, ticked: ["judge"] };
    answer(progress({}));
    await vi.advanceTimersByTimeAsync(10);
    expect(job.plan.ticked).toEqual(["judge"]);
    vi.stubGlobal("document", { visibilityState: "hidden" });
    await vi.advanceTimersByTimeAsync(3000);
    vi.stubGlobal("document", { visibilityState: "visible" });
    job.plan = { ...job.plan!, state: "finished" };
    await vi.advanceTimersByTimeAsync(3000);
    expect(asked).toHaveBeenCalledTimes(1);
    stop();
  });
});
