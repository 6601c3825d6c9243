import * as texts from "../texts/api";
import createClient from "openapi-fetch";
import { jobSections } from "./jobSections";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Fault = Schemas["Problem"]["error"]["fields"][number];

/** The server's refusal, field by field. `status` 0 means that it could not be reached. */
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

// A request without an answer keeps its key when it is sent again, so that the server does it once.
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

client.use(jobSections());

/** Told when something was changed: what was done before it is not the last any more. */
export const changed = { tell: () => {} };
// Requests that change nothing, and drafts saved while typing.
const ONLY_ASKS = /\/(preview|trial|claims|answers|readings|draft|session)$/;
client.use({
  onResponse({ request, response }) {
    const path = new URL(request.url).pathname;
    const asks = ONLY_ASKS.test(path) && !/\/jobs\/\d+\//.test(path);
    if (response.ok && request.method !== "GET" && !asks) changed.tell();
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

/** The answer, or throws a Refusal. */
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

/** Another window was faster. The page shows both versions; true: save the owner's anyway. */
export const changedElsewhere = { ask: (_: Refusal): Promise<boolean> => Promise.resolve(false) };
/** The revision of a thing that has nothing on file yet. */
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

/** Addresses of openapi/graver.yml, parameters, body and answer checked against it; the others stand in lazyApi.ts. */
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
  inspectionForm: (vehicle: number) =>
    taken(client.GET("/vehicles/{id}/inspection-form", { params: { path: { id: vehicle } } })),
  logInspection: (vehicle: number, inspection: Schemas["Inspection"]) =>
    taken(client.POST("/vehicles/{id}/inspections", { params: { path: { id: vehicle } }, body: inspection })),
  inspection: (id: number) => taken(client.GET("/inspections/{id}", { params: { path: { id } } })),
  correct: (id: number, correction: Schemas["Correction"]) =>
    taken(client.POST("/inspections/{id}/corrections", { params: { path: { id } }, body: correction })),
  draft: (vehicle: number) => taken(client.GET("/vehicles/{id}/draft", { params: { path: { id: vehicle } } })),
  keepDraft: (vehicle: number, draft: Schemas["DraftChange"]) =>
    taken(client.PUT("/vehicles/{id}/draft", { params: { path: { id: vehicle } }, body: draft, keepalive: true })),
  binDraft: (vehicle: number) => taken(client.DELETE("/vehicles/{id}/draft", { params: { path: { id: vehicle } } })),
  instruments: () => taken(client.GET("/instruments")),
  devices: () => taken(client.GET("/devices")),
  wear: (axle: number, limit?: string) =>
    taken(client.GET("/axles/{id}/wear", { params: { path: { id: axle }, query: { limit_mm: limit } } })),
  timelines: () => taken(client.GET("/timelines")),
  timeline: (vehicle: number) => taken(client.GET("/vehicles/{id}/timeline", { params: { path: { id: vehicle } } })),
  findings: (vehicle: number) => taken(client.GET("/vehicles/{id}/findings", { params: { path: { id: vehicle } } })),
  chooseApproaches: (choice: Schemas["ApproachChoice"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/approaches", { params: { header }, body: choice })),
  proposedJob: (axle: number) => taken(client.GET("/axles/{id}/job-plan", { params: { path: { id: axle } } })),
  planJob: (axle: number, day: string | null) =>
    taken(client.POST("/axles/{id}/jobs", { params: { path: { id: axle } }, body: { planned_for: day } })),
  job: (id: number) => taken(client.GET("/jobs/{id}", { params: { path: { id } } })),
  changeJob: (id: number, change: Schemas["JobChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/jobs/{id}", { params: { header, path: { id } }, body: change })),
  scopeJob: (id: number, scope: Schemas["JobScope"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/jobs/{id}/scope", { params: { header, path: { id } }, body: scope })),
  tick: (id: number, steps: string[], done: boolean, seen: Record<string, string> | null) =>
    taken(client.POST("/jobs/{id}/ticks", { params: { path: { id } }, body: { steps, done, seen } })),
  choosePart: (id: number, line: string, supply: number | null, seen?: string | null) =>
    asSeen(seen, (header) =>
      client.PUT("/jobs/{id}/part-choices", { params: { header, path: { id } }, body: { line, supply } }),
    ),
  addSupply: (supply: Schemas["NewSupply"]) => taken(client.POST("/supplies", { body: supply })),
  changeSupply: (id: number, change: Schemas["SupplyChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/supplies/{id}", { params: { header, path: { id } }, body: change })),
  ownTool: (tool: string, owned: boolean) => taken(client.PUT("/tools", { body: { tool, owned } })),
};
