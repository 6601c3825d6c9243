import * as texts from "../texts/api";
import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Fault = Schemas["Problem"]["error"]["fields"][number];

/** What the server refused, field by field. `status` 0 means that it could not be reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Fault[],
    readonly revision?: string,
  ) {
    super(message);
  }
}

export const client = createClient<paths>({
  baseUrl: "/api/v1",
  fetch: (request: Request) =>
    fetch(request).catch(() => {
      throw new Refusal(0, texts.unreachable, []);
    }),
});

// What was sent and never answered gets the same key when it is sent again, so that the server does it once.
const unanswered = new Map<string, string>();
const newKey = () => Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) => part.toString(36)).join("-");
client.use({
  async onRequest({ request }) {
    if (request.method !== "POST") return;
    const what = `${request.url} ${await request.clone().text()}`;
    if (!unanswered.has(what)) unanswered.set(what, newKey());
    request.headers.set("Idempotency-Key", unanswered.get(what)!);
    return request;
  },
  async onResponse({ request }) {
    for (const [what, key] of unanswered) if (key === request.headers.get("Idempotency-Key")) unanswered.delete(what);
    return undefined;
  },
});

/** Told when this device is not signed in (over the network alone). */
export const signedOut = { tell: () => {} };

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** What was answered, or a Refusal. */
export async function taken<T>(asked: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await asked.catch((failure: unknown) => {
    if (failure instanceof Refusal) throw failure;
    throw new Refusal(500, texts.unreadable, []);
  });
  if (response.ok && data !== undefined) return data;
  if (response.status === 401) signedOut.tell();
  const problem = (error as Partial<Schemas["Problem"]> | undefined)?.error;
  throw new Refusal(response.status, problem?.message ?? texts.unreadable, problem?.fields ?? [], problem?.revision);
}

/** Another window was faster. The page shows both versions; true: the owner's own is saved all the same. */
export const changedElsewhere = { ask: (_: Refusal): Promise<boolean> => Promise.resolve(false) };
/** What was seen of a thing that has nothing on file yet. */
export const NOTHING_SEEN = btoa("{}");

type Header = { "If-Match"?: string };
export async function asSeen<T>(
  seen: string | null | undefined,
  send: (header: Header) => Promise<Answer<T>>,
): Promise<T> {
  try {
    return await taken(send(seen ? { "If-Match": `"${seen}"` } : {}));
  } catch (error) {
    if (!(error instanceof Refusal) || error.status !== 412 || !(await changedElsewhere.ask(error))) throw error;
    return asSeen(error.revision, send);
  }
}

/** Every address of openapi/graver.yml, its parameters, body and answer checked against it. */
export const api = {
  catalogue: () => taken(client.GET("/catalogue")),
  garage: () => taken(client.GET("/garage")),
  vehicle: (id: number) => taken(client.GET("/vehicles/{id}", { params: { path: { id } } })),
  addVehicle: (vehicle: Schemas["NewVehicle"]) => taken(client.POST("/vehicles", { body: vehicle })),
  changeVehicle: (id: number, change: Schemas["VehicleChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/vehicles/{id}", { params: { header, path: { id } }, body: change })),
  renewFluid: (id: number, service: Schemas["Service"]) =>
    taken(client.POST("/vehicles/{id}/fluid-renewals", { params: { path: { id } }, body: service })),
  brakeData: (axle: number) => taken(client.GET("/axles/{id}/brake-data", { params: { path: { id: axle } } })),
  recordBrakeData: (axle: number, entries: Schemas["BrakeDataEntries"], seen?: string | null) =>
    asSeen(seen, (header) =>
      client.POST("/axles/{id}/brake-data", { params: { header, path: { id: axle } }, body: entries }),
    ),
  proposals: (axle: number, from: string) =>
    taken(client.GET("/axles/{id}/brake-data/proposals", { params: { path: { id: axle }, query: { from } } })),
  walkRound: (vehicle: number) => taken(client.GET("/vehicles/{id}/walk-round", { params: { path: { id: vehicle } } })),
  walkOrder: (order: Schemas["WalkOrder"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/walk-round-order", { params: { header }, body: order })),
  preview: (vehicle: number, lookOver: Schemas["LookOver"]) =>
    taken(client.POST("/vehicles/{id}/look-overs/preview", { params: { path: { id: vehicle } }, body: lookOver })),
  logLookOver: (vehicle: number, lookOver: Schemas["LookOver"]) =>
    taken(client.POST("/vehicles/{id}/look-overs", { params: { path: { id: vehicle } }, body: lookOver })),
  lookOver: (id: number) => taken(client.GET("/look-overs/{id}", { params: { path: { id } } })),
  correct: (id: number, correction: Schemas["Correction"]) =>
    taken(client.POST("/look-overs/{id}/corrections", { params: { path: { id } }, body: correction })),
  draft: (vehicle: number) => taken(client.GET("/vehicles/{id}/draft", { params: { path: { id: vehicle } } })),
  keepDraft: (vehicle: number, draft: Schemas["DraftChange"]) =>
    taken(client.PUT("/vehicles/{id}/draft", { params: { path: { id: vehicle } }, body: draft, keepalive: true })),
  binDraft: (vehicle: number) => taken(client.DELETE("/vehicles/{id}/draft", { params: { path: { id: vehicle } } })),
  restoreDraft: (binned: number) =>
    taken(client.POST("/binned-drafts/{id}/restore", { params: { path: { id: binned } } })),
  backups: () => taken(client.GET("/backups")),
  makeBackup: () => taken(client.POST("/backups")),
  restoreBackup: (name: string) => taken(client.POST("/backups/{name}/restore", { params: { path: { name } } })),
  bin: () => taken(client.GET("/bin")),
  instruments: () => taken(client.GET("/instruments")),
  addInstrument: (instrument: Schemas["NewInstrument"]) => taken(client.POST("/instruments", { body: instrument })),
  changeInstrument: (id: number, change: Schemas["InstrumentChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/instruments/{id}", { params: { header, path: { id } }, body: change })),
  checkZero: (id: number, check: Schemas["NewZeroCheck"]) =>
    taken(client.POST("/instruments/{id}/zero-checks", { params: { path: { id } }, body: check })),
  withdrawZeroCheck: (id: number, check: number) =>
    taken(client.DELETE("/instruments/{id}/zero-checks/{check}", { params: { path: { id, check } } })),
  correctZero: (id: number) => taken(client.POST("/instruments/{id}/corrections", { params: { path: { id } } })),
  wrenches: () => taken(client.GET("/torque-wrenches")),
  addWrench: (wrench: Schemas["NewTorqueWrench"]) => taken(client.POST("/torque-wrenches", { body: wrench })),
  changeWrench: (id: number, change: Schemas["TorqueWrenchChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/torque-wrenches/{id}", { params: { header, path: { id } }, body: change })),
  torqueSettings: (axle: number, extension: string) =>
    taken(
      client.GET("/axles/{id}/torque-settings", { params: { path: { id: axle }, query: { extension_mm: extension } } }),
    ),
  devices: () => taken(client.GET("/devices")),
  changeDevice: (id: string, change: Schemas["DeviceChange"]) =>
    taken(client.PATCH("/devices/{id}", { params: { path: { id } }, body: change })),
  deviceReading: (id: string, asked: Schemas["DeviceAsked"]) =>
    taken(client.POST("/devices/{id}/readings", { params: { path: { id } }, body: asked })),
  tryImport: (id: number, mapping: Schemas["Mapping"]) =>
    taken(client.POST("/imports/{id}/trial", { params: { path: { id } }, body: { mapping } })),
  runImport: (id: number, mapping: Schemas["Mapping"]) =>
    taken(client.POST("/imports/{id}/run", { params: { path: { id } }, body: { mapping } })),
  importState: (id: number) => taken(client.GET("/imports/{id}", { params: { path: { id } } })),
  undoImport: (id: number) => taken(client.POST("/imports/{id}/undo", { params: { path: { id } } })),
  wear: (axle: number, limit?: string) =>
    taken(client.GET("/axles/{id}/wear", { params: { path: { id: axle }, query: { limit_mm: limit } } })),
  whatIf: (axle: number, asked: Record<string, string>) =>
    taken(client.GET("/axles/{id}/what-if", { params: { path: { id: axle }, query: asked } })),
  forecastQuality: (axle: number) =>
    taken(client.GET("/axles/{id}/forecast-quality", { params: { path: { id: axle } } })),
  timelines: () => taken(client.GET("/timelines")),
  timeline: (vehicle: number) => taken(client.GET("/vehicles/{id}/timeline", { params: { path: { id: vehicle } } })),
  planEvent: (vehicle: number, planned: Schemas["NewPlannedEvent"]) =>
    taken(client.POST("/vehicles/{id}/planned-events", { params: { path: { id: vehicle } }, body: planned })),
  dropPlanned: (row: number) => taken(client.DELETE("/planned-events/{id}", { params: { path: { id: row } } })),
  restorePlanned: (row: number) =>
    taken(client.POST("/planned-events/{id}/restore", { params: { path: { id: row } } })),
  noteOdometer: (vehicle: number, service: Schemas["Service"]) =>
    taken(client.POST("/vehicles/{id}/odometer", { params: { path: { id: vehicle } }, body: service })),
  schedule: (change: Schemas["ScheduleChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/schedule", { params: { header }, body: change })),
  findings: (vehicle: number) => taken(client.GET("/vehicles/{id}/findings", { params: { path: { id: vehicle } } })),
  logClaim: (vehicle: number, claim: Schemas["PadClaim"]) =>
    taken(client.POST("/vehicles/{id}/claims/log", { params: { path: { id: vehicle } }, body: claim })),
  claim: (vehicle: number, claim: Schemas["Claim"]) =>
    taken(client.POST("/vehicles/{id}/claims", { params: { path: { id: vehicle } }, body: claim })),
  chooseSchools: (choice: Schemas["SchoolChoice"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/schools", { params: { header }, body: choice })),
  symptoms: () => taken(client.GET("/symptoms")),
  symptom: (vehicle: number, answered: Schemas["SymptomAnswered"]) =>
    taken(client.POST("/vehicles/{id}/symptoms", { params: { path: { id: vehicle } }, body: answered })),
  proposedJob: (axle: number) => taken(client.GET("/axles/{id}/job-plan", { params: { path: { id: axle } } })),
  planJob: (axle: number, day: string | null) =>
    taken(client.POST("/axles/{id}/jobs", { params: { path: { id: axle } }, body: { planned_for: day } })),
  job: (id: number) => taken(client.GET("/jobs/{id}", { params: { path: { id } } })),
  changeJob: (id: number, change: Schemas["JobChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/jobs/{id}", { params: { header, path: { id } }, body: change })),
  scopeJob: (id: number, scope: Schemas["JobScope"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/jobs/{id}/scope", { params: { header, path: { id } }, body: scope })),
  tick: (id: number, steps: string[], done: boolean) =>
    taken(client.POST("/jobs/{id}/ticks", { params: { path: { id } }, body: { steps, done } })),
  clearSkipped: (id: number, step: string) =>
    taken(client.POST("/jobs/{id}/cleared", { params: { path: { id } }, body: { step } })),
  choosePart: (id: number, line: string, supply: number | null, seen?: string | null) =>
    asSeen(seen, (header) =>
      client.PUT("/jobs/{id}/choices", { params: { header, path: { id } }, body: { line, supply } }),
    ),
  quote: (id: number, quote: Schemas["Quote"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/jobs/{id}/quote", { params: { header, path: { id } }, body: quote })),
  offers: (id: number, line: string) =>
    taken(client.GET("/jobs/{id}/offers", { params: { path: { id }, query: { line } } })),
  shelf: () => taken(client.GET("/supplies")),
  addSupply: (supply: Schemas["NewSupply"]) => taken(client.POST("/supplies", { body: supply })),
  changeSupply: (id: number, change: Schemas["SupplyChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/supplies/{id}", { params: { header, path: { id } }, body: change })),
  tools: () => taken(client.GET("/tools")),
  ownTool: (tool: string, owned: boolean) => taken(client.PUT("/tools", { body: { tool, owned } })),
  money: () => taken(client.GET("/money")),
  chooseMoney: (change: Schemas["MoneyChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/money", { params: { header }, body: change })),
};
