import type { components } from "./schema";

export type Schemas = components["schemas"];
export type Fault = Schemas["Problem"]["error"]["fields"][number];

/** What the server refused, field by field. `status` 0 means that it could not be reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Fault[],
  ) {
    super(message);
  }
}

async function send<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, {
      method,
      // A draft on its way when the page is closed still arrives.
      keepalive: method === "PUT",
      headers: body === undefined ? {} : { "content-type": "application/json" },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new Refusal(0, "The server cannot be reached. What you typed stays here; try again.", []);
  }
  if (response.status === 204) return undefined as T;
  const content = await response.json().catch(() => null);
  if (response.ok) return content as T;
  const error = (content as Schemas["Problem"] | null)?.error;
  throw new Refusal(response.status, error?.message ?? "The server answered with something unreadable.", error?.fields ?? []);
}

export const api = {
  catalogue: () => send<Schemas["Catalogue"]>("GET", "/catalogue"),
  garage: () => send<Schemas["Garage"]>("GET", "/garage"),
  vehicle: (id: number) => send<Schemas["Vehicle"]>("GET", `/vehicles/${id}`),
  addVehicle: (vehicle: Schemas["NewVehicle"]) => send<Schemas["Vehicle"]>("POST", "/vehicles", vehicle),
  changeVehicle: (id: number, change: Schemas["VehicleChange"]) => send<Schemas["Vehicle"]>("PATCH", `/vehicles/${id}`, change),
  renewFluid: (id: number, service: Schemas["Service"]) => send<Schemas["Vehicle"]>("POST", `/vehicles/${id}/fluid-renewals`, service),
  brakeData: (axle: number) => send<Schemas["BrakeData"]>("GET", `/axles/${axle}/brake-data`),
  recordBrakeData: (axle: number, entries: Schemas["BrakeDataEntries"]) => send<Schemas["BrakeData"]>("POST", `/axles/${axle}/brake-data`, entries),
  preview: (axle: number, lookOver: Schemas["LookOver"]) => send<Schemas["Preview"]>("POST", `/axles/${axle}/look-overs/preview`, lookOver),
  logLookOver: (axle: number, lookOver: Schemas["LookOver"]) => send<Schemas["Saved"]>("POST", `/axles/${axle}/look-overs`, lookOver),
  draft: (axle: number) => send<Schemas["DraftOrNone"]>("GET", `/axles/${axle}/draft`),
  keepDraft: (axle: number, draft: Schemas["DraftChange"]) => send<Schemas["Draft"]>("PUT", `/axles/${axle}/draft`, draft),
  dropDraft: (axle: number) => send<void>("DELETE", `/axles/${axle}/draft`),
  wear: (axle: number, limit?: string) => send<Schemas["Wear"]>("GET", `/axles/${axle}/wear${limit ? `?limit_mm=${encodeURIComponent(limit)}` : ""}`),
  jobCard: (axle: number) => send<Schemas["JobCard"]>("GET", `/axles/${axle}/job-card`),
  planJob: (axle: number, day: string | null) => send<Schemas["Job"]>("POST", `/axles/${axle}/jobs`, { planned_for: day }),
  job: (id: number) => send<Schemas["Job"]>("GET", `/jobs/${id}`),
  changeJob: (id: number, change: Schemas["JobChange"]) => send<Schemas["Job"]>("PATCH", `/jobs/${id}`, change),
  tick: (id: number, step: string, done: boolean) => send<Schemas["Job"]>("POST", `/jobs/${id}/ticks`, { step, done }),
};
