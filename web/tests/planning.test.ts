import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { api, Refusal, type Schemas } from "../src/api/client";
import { lazyApi } from "../src/api/lazyApi";

const stored = new Map<string, string>();
vi.stubGlobal("localStorage", {
  getItem: (key: string) => stored.get(key) ?? null,
  setItem: (key: string, value: string) => void stored.set(key, value),
});
vi.stubGlobal("addEventListener", () => undefined);
const { undo } = await import("../src/parts/undo.svelte");
const { JobPlanState, chosenWorks, withWork } = await import("../src/parts/jobPlan.svelte");
const { JobStepsState } = await import("../src/screens/job/jobSteps.svelte");
const { JobPartsState } = await import("../src/screens/job/jobParts.svelte");
const { BrakeData } = await import("../src/screens/brakeData/brakeData.svelte");
const { TripMove } = await import("../src/screens/timeline/tripMove.svelte");
const { Ahead } = await import("../src/screens/timeline/ahead.svelte");
const { next, Tally } = await import("../src/screens/practice/tally.svelte");
const { DraftKeeper } = await import("../src/screens/inspection/draftKeeper.svelte");
const { TableImport } = await import("../src/screens/import/tableImport.svelte");

const step = (key: string, more: object = {}) =>
  ({
    key,
    stage: "Strip",
    place: "front left",
    joins: false,
    text: `Do ${key}. Then rest.`,
    mandatory: false,
    deviation: null,
    event: null,
    ...more,
  }) as unknown as Schemas["JobStep"];
const plan = (more: object = {}) =>
  ({
    id: 1,
    revision: "r1",
    state: "draft",
    ticked: [],
    steps: [],
    dropped: [],
    set_aside: [],
    parts: [],
    axles: [],
    halts: [],
    ...more,
  }) as unknown as Schemas["JobPlan"];

beforeEach(() => void vi.spyOn(api, "devices").mockResolvedValue({ counter: true } as never));
afterEach(() => vi.restoreAllMocks());

describe("the steps of a job", () => {
  const steps = [step("a"), step("b", { joins: true }), step("c", { mandatory: true }), step("d", { stage: "Refit" })];

  it("show the stage of the next open step, or the one asked for, and all while they are changed", () => {
    const state = new JobStepsState(new JobPlanState(plan({ steps, ticked: ["a", "b", "c"] })), false);
    expect([state.stages.length, state.shown.map((each) => each.title), state.mandatory]).toEqual([
      2,
      ["Front left: refit"],
      1,
    ]);
    state.lookFor("b");
    expect(state.shown.map((each) => [each.title, each.done])).toEqual([["Front left: strip", 2]]);
    state.changing = true;
    expect([state.shown.length, state.stepGroups.length]).toEqual([2, 4]);
    expect([state.named("d"), state.named("gone")]).toEqual(["Front left: Do d", "gone"]);
  });

  it("count a group as done only with all its steps, or with a reason for one", () => {
    const state = new JobStepsState(
      new JobPlanState(plan({ steps: [step("a"), step("b", { joins: true, deviation: "no tool" })], ticked: [] })),
      false,
    );
    const [group] = state.stepGroups;
    expect([state.allDone(group!), state.done(group!.steps[1]!), state.ticked(group!)]).toEqual([false, true, false]);
  });

  it("move by naming the step they come after", async () => {
    const job = new JobPlanState(plan({ steps }));
    const state = new JobStepsState(job, false);
    const sent = vi.spyOn(lazyApi, "adjust").mockResolvedValue(plan({ steps }));
    for (const [at, by] of [
      [2, -1],
      [1, 1],
      [1, -1],
    ] as const)
      await state.move(state.steps[at]!, by);
    expect(sent.mock.calls.map(([, edit]) => edit)).toEqual([
      { action: "move", key: "c", after: "a" },
      { action: "move", key: "b", after: "c" },
      { action: "move", key: "b", after: null },
    ]);
  });
});

describe("a job's plan", () => {
  it("offers to take back what it did, from what the plan is by then", async () => {
    const offered = vi.spyOn(undo, "offer").mockImplementation(() => undefined);
    vi.spyOn(api, "job").mockResolvedValue(plan({ revision: "r9" }));
    const resolve = vi.spyOn(lazyApi, "resolve").mockResolvedValue(plan());
    const job = new JobPlanState(plan());
    await job.resolve(["tools:jack"], true);
    await offered.mock.calls[0]![1]();
    expect(resolve.mock.calls.map(([, items, done]) => [items, done])).toEqual([
      [["tools:jack"], true],
      [["tools:jack"], false],
    ]);
    expect(job.plan).toEqual(plan());
  });

  it("offers nothing to take back where it was refused", async () => {
    const offered = vi.spyOn(undo, "offer").mockImplementation(() => undefined);
    vi.spyOn(lazyApi, "resolve").mockRejectedValue(new Refusal(422, "no", []));
    expect(await new JobPlanState(plan()).resolve(["x"], true)).toBe(false);
    expect(offered).not.toHaveBeenCalled();
  });

  it("sends the chosen rotors with the works, and lets work done alone give way", () => {
    const axle = {
      id: 5,
      included: true,
      works: [
        { id: "pads", chosen: true, alone: false },
        { id: "look", chosen: false, alone: true },
        { id: "clips", chosen: false, alone: false },
      ],
      rotors: { chosen: "new", works: { new: "rotors_new" } },
    };
    expect(
      chosenWorks(plan({ scope: { axles: [axle, { ...axle, id: 6, rotors: { chosen: "stay", works: {} } }] } })),
    ).toEqual({ 5: ["pads", "rotors_new"], 6: ["pads"] });
    const of = axle as unknown as Schemas["AxleScope"];
    expect([
      withWork(of, ["pads"], "look", true),
      withWork(of, ["look"], "clips", true),
      withWork(of, ["pads", "clips"], "pads", false),
    ]).toEqual([["look"], ["clips"], ["clips"]]);
  });
});

describe("the parts of a job", () => {
  const line = (id: string, state: string, more: object = {}) => ({
    id,
    state,
    optional: false,
    price: null,
    order_by: null,
    item: id,
    axle: "front",
    supplies: [],
    ...more,
  });
  const lines = [
    line("pads", "order", { price: 40, order_by: "2026-05-20" }),
    line("clips", "choose"),
    line("plug", "choose", { optional: true }),
    line("rotor", "shelf", { price: 99 }),
    line("pins", "order", { price: 5.5, order_by: "2026-05-12" }),
  ];

  it("are grouped by what is still to do, optional ones last, and only what is ordered is added up", () => {
    const state = new JobPartsState(new JobPlanState(plan({ parts: lines })));
    expect(state.groups.map((group) => group.lines.map((each) => each.id))).toEqual([
      ["clips"],
      ["pads", "pins"],
      ["rotor"],
      ["plug"],
    ]);
    expect([state.sum, state.orderBy, state.count("choose"), state.count("choose", true)]).toEqual([
      45.5,
      "2026-05-12",
      1,
      1,
    ]);
  });

  it("take an offer into the shelf with its sizes in mm, and choose it", async () => {
    const job = new JobPlanState(plan({ parts: lines, axles: [{ axle: { id: 5, name: "front" } }] }));
    const added = vi.spyOn(api, "addSupply").mockResolvedValue({} as never);
    vi.spyOn(api, "job").mockResolvedValue(
      plan({ parts: [{ ...line("pads", "order"), supplies: [{ id: 3, name: "Pads" }] }], axles: [] }),
    );
    const chosen = vi.spyOn(api, "choosePart").mockResolvedValue(plan());
    await new JobPartsState(job).take(job.plan!.parts[0]!, {
      name: "Pads",
      price: "40",
      thickness_mm: 11,
      diameter_mm: null,
      checks: [],
    } as never);
    expect(added.mock.calls[0]![0]).toEqual({
      kind: "part",
      item: "pads",
      axle: 5,
      name: "Pads",
      price: "40",
      thickness: "11",
      diameter: null,
      unit: "mm",
    });
    expect(chosen.mock.calls[0]!.slice(1, 3)).toEqual(["pads", 3]);
  });
});

describe("brake data", () => {
  const field = (more: object = {}) =>
    ({
      key: "pad.new_thickness",
      label: "New pad",
      quantity: "length",
      value: "7/16",
      unit: "in",
      source: "manual",
      units: ["mm", "in"],
      needed_for: ["pads"],
      looked_for: false,
      first: true,
      ...more,
    }) as unknown as Schemas["DataField"];
  const data = (...fields: Schemas["DataField"][]) =>
    ({ axle: { id: 5 }, revision: "r1", fields }) as unknown as Schemas["BrakeData"];

  it("open an inch value as an inch value, and send nothing that was not changed", async () => {
    const state = new BrakeData(5);
    state.data = data(field());
    const sent = vi.spyOn(api, "recordBrakeData").mockResolvedValue(data(field()));
    state.show(field());
    expect(state.typed(field())).toEqual({ text: "7/16", unit: "in", source: "manual" });
    expect([await state.keep(field()), sent.mock.calls.length]).toEqual([true, 0]);
    state.show(field());
    state.drafts["pad.new_thickness"]!.unit = "mm";
    await state.keep(field());
    expect(sent.mock.calls[0]).toEqual([
      5,
      { entries: [{ key: "pad.new_thickness", value: "7/16", unit: "mm", source: "manual" }] },
      "r1",
    ]);
  });

  it("take a torque for the manual's and a size for measured, and keep what was refused with its reason", async () => {
    const state = new BrakeData(5);
    state.data = data(field());
    const torque = field({
      key: "wheel_nut.torque",
      quantity: "torque",
      value: null,
      unit: null,
      source: null,
      units: ["N·m", "lbf·ft"],
    });
    const size = field({ key: "rotor.new_thickness", value: null, unit: null, source: null });
    [torque, size].forEach((each) => state.show(each));
    expect([state.typed(torque).source, state.typed(size).source]).toEqual(["manual", "measured"]);
    state.drafts["wheel_nut.torque"]!.text = "1000";
    vi.spyOn(api, "recordBrakeData").mockRejectedValue(
      new Refusal(422, "no", [{ field: "entries.0.value", code: "out_of_range", message: "Too tight" }]),
    );
    expect(await state.keep(torque)).toBe(false);
    expect([state.faults["wheel_nut.torque"], state.typed(torque).text]).toEqual(["Too tight", "1000"]);
    expect(state.gaps("pads").length).toBe(0);
  });
});

describe("a trip that is moved", () => {
  const row = {
    id: 3,
    name: "Coast",
    kind: "trip",
    from: "2026-06-01",
    to: "2026-06-05",
  } as unknown as Schemas["Planned"];
  const move = () =>
    new TripMove(
      () => [row],
      () => "2026-05-16",
      () => Promise.resolve(),
    );

  it("begins where it is planned, on whole days, and counts as changed only on another", () => {
    const trip = move();
    trip.look(row);
    expect([trip.days, trip.from, trip.changed]).toEqual([16, "2026-06-01", false]);
    trip.to(17.4);
    expect([trip.from, trip.changed]).toEqual(["2026-06-02", true]);
  });

  it("shows the newest answer, however late an older one comes", async () => {
    const answers: ((moved: object) => void)[] = [];
    vi.spyOn(lazyApi, "movedTrip").mockImplementation(() => new Promise((resolve) => answers.push(resolve as never)));
    const trip = move();
    trip.look(row);
    const [first, second] = [trip.ask(), trip.ask()];
    answers[1]!({ second: true });
    answers[0]!({ first: true });
    await Promise.all([first, second]);
    expect(trip.moved).toEqual({ second: true });
  });
});

describe("a day ahead", () => {
  it("is the step nearest to it, never beyond the last", async () => {
    vi.spyOn(lazyApi, "riskByDate").mockResolvedValue({ steps: [0, 30, 60].map((days) => ({ days })) } as never);
    const ahead = new Ahead(1);
    await ahead.load();
    expect([44, 46, 900, -5].map((days) => (ahead.to(days), ahead.step!.days))).toEqual([30, 60, 60, 0]);
  });
});

describe("practice", () => {
  it("counts first answers by kind, over a reload, and leaves out what it can't read", () => {
    stored.set("graver.practice", JSON.stringify({ odd: { right: "1", done: 1 }, dial: { right: 2, done: 3 } }));
    const tally = new Tally();
    tally.add("dial", false);
    tally.add("lip", true);
    expect(new Tally().counts).toEqual({ dial: { right: 2, done: 4 }, lip: { right: 1, done: 1 } });
    expect([next(1), next(999_999)]).toEqual([2, 1]);
  });
});

describe("a draft", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it("is sent once the typing pauses, from the revision it was last kept at", async () => {
    const sent = vi
      .spyOn(api, "keepDraft")
      .mockImplementation((_, { revision }) => Promise.resolve({ content: {}, revision: revision + 1 } as never));
    const keeper = new DraftKeeper(1, () => undefined);
    ["8", "8.", "8.4"].forEach((text) => keeper.keep({ text }));
    await vi.advanceTimersByTimeAsync(500);
    keeper.keep({ text: "8.41" });
    await vi.advanceTimersByTimeAsync(500);
    expect(sent.mock.calls.map(([, draft]) => [draft.content, draft.revision])).toEqual([
      [{ text: "8.4" }, 0],
      [{ text: "8.41" }, 1],
    ]);
    expect(keeper.state).toBe("kept");
  });

  it("tries again without a server, and stops when another window was faster", async () => {
    const elsewhere = vi.fn();
    const sent = vi
      .spyOn(api, "keepDraft")
      .mockRejectedValueOnce(new Refusal(0, "away", []))
      .mockRejectedValueOnce(new Refusal(409, "theirs", []));
    const keeper = new DraftKeeper(1, elsewhere);
    keeper.keep({ text: "8" });
    await vi.advanceTimersByTimeAsync(500);
    expect([keeper.state, elsewhere.mock.calls.length]).toEqual(["not kept", 0]);
    await vi.advanceTimersByTimeAsync(4100);
    keeper.keep({ text: "9" });
    await vi.advanceTimersByTimeAsync(5000);
    expect([keeper.state, elsewhere.mock.calls.length, sent.mock.calls.length]).toEqual(["elsewhere", 1, 2]);
  });
});

describe("a table that is imported", () => {
  it("keeps one answer for each row about a new set, and shows the newest trial", async () => {
    const answers: ((trial: object) => void)[] = [];
    vi.spyOn(lazyApi, "tryImport").mockImplementation(() => new Promise((resolve) => answers.push(resolve as never)));
    const table = new TableImport(1);
    [table.table, table.mapping] = [
      { id: 2 } as never,
      { date: { column: 0 }, odometer: { column: 1 }, note: null, readings: [{ column: 2 }], renewals: [] } as never,
    ];
    table.renewal(4, true);
    table.renewal(4, false);
    answers[1]!({ rows: 2 });
    answers[0]!({ rows: 1 });
    await vi.waitFor(() => expect(table.trial).toEqual({ rows: 2 }));
    expect(table.mapping!.renewals).toEqual([{ line: 4, new: false }]);
    expect([0, 1, 2, 3].map((column) => table.roleOf(column))).toEqual(["date", "odometer", "reading", ""]);
  });
});
