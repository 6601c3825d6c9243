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

async function send<T>(method: string, path: string, body?: unknown, type = "application/json"): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, {
      method,
      // A draft on its way when the page is closed still arrives.
      keepalive: method === "PUT",
      headers: body === undefined ? {} : { "content-type": type },
      body: body === undefined ? undefined : body instanceof Blob ? body : JSON.stringify(body),
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
  proposals: (axle: number, from: string) => send<Schemas["Proposals"]>("GET", `/axles/${axle}/brake-data/proposals?from=${encodeURIComponent(from)}`),
  walkRound: (vehicle: number) => send<Schemas["WalkRound"]>("GET", `/vehicles/${vehicle}/walk-round`),
  walkOrder: (order: Schemas["WalkOrder"]) => send<Schemas["WalkOrder"]>("PUT", "/walk-round-order", order),
  preview: (vehicle: number, lookOver: Schemas["LookOver"]) => send<Schemas["Preview"]>("POST", `/vehicles/${vehicle}/look-overs/preview`, lookOver),
  logLookOver: (vehicle: number, lookOver: Schemas["LookOver"]) => send<Schemas["Saved"]>("POST", `/vehicles/${vehicle}/look-overs`, lookOver),
  lookOver: (id: number) => send<Schemas["LoggedLookOver"]>("GET", `/look-overs/${id}`),
  correct: (id: number, correction: Schemas["Correction"]) => send<Schemas["LoggedLookOver"]>("POST", `/look-overs/${id}/corrections`, correction),
  draft: (vehicle: number) => send<Schemas["DraftOrNone"]>("GET", `/vehicles/${vehicle}/draft`),
  keepDraft: (vehicle: number, draft: Schemas["DraftChange"]) => send<Schemas["Draft"]>("PUT", `/vehicles/${vehicle}/draft`, draft),
  binDraft: (vehicle: number) => send<Schemas["Binned"]>("DELETE", `/vehicles/${vehicle}/draft`),
  restoreDraft: (binned: number) => send<Schemas["DraftRestored"]>("POST", `/binned-drafts/${binned}/restore`, {}),
  bin: () => send<Schemas["Bin"]>("GET", "/bin"),
  instruments: () => send<Schemas["Workshop"]>("GET", "/instruments"),
  addInstrument: (instrument: Schemas["NewInstrument"]) => send<Schemas["Instrument"]>("POST", "/instruments", instrument),
  changeInstrument: (id: number, change: Schemas["InstrumentChange"]) => send<Schemas["Instrument"]>("PATCH", `/instruments/${id}`, change),
  checkZero: (id: number, check: Schemas["NewZeroCheck"]) => send<Schemas["Instrument"]>("POST", `/instruments/${id}/zero-checks`, check),
  correctZero: (id: number) => send<Schemas["ZeroCorrected"]>("POST", `/instruments/${id}/corrections`, {}),
  wrenches: () => send<Schemas["TorqueWrenches"]>("GET", "/torque-wrenches"),
  addWrench: (wrench: Schemas["NewTorqueWrench"]) => send<Schemas["TorqueWrench"]>("POST", "/torque-wrenches", wrench),
  changeWrench: (id: number, change: Schemas["TorqueWrenchChange"]) => send<Schemas["TorqueWrench"]>("PATCH", `/torque-wrenches/${id}`, change),
  torqueSettings: (axle: number, extension: string) => send<Schemas["TorqueSettings"]>("GET", `/axles/${axle}/torque-settings?extension_mm=${encodeURIComponent(extension)}`),
  devices: () => send<Schemas["Devices"]>("GET", "/devices"),
  changeDevice: (id: string, change: Schemas["DeviceChange"]) => send<Schemas["Device"]>("PATCH", `/devices/${id}`, change),
  deviceReading: (id: string, asked: Schemas["DeviceAsked"]) => send<Schemas["Sample"]>("POST", `/devices/${id}/readings`, asked),
  imports: (vehicle: number) => send<Schemas["Imports"]>("GET", `/vehicles/${vehicle}/imports`),
  upload: (vehicle: number, file: File) => send<Schemas["UploadedTable"]>("POST", `/vehicles/${vehicle}/imports?name=${encodeURIComponent(file.name)}`, file, "text/csv"),
  tryImport: (id: number, mapping: Schemas["Mapping"]) => send<Schemas["ImportResult"]>("POST", `/imports/${id}/trial`, { mapping }),
  runImport: (id: number, mapping: Schemas["Mapping"]) => send<Schemas["Import"]>("POST", `/imports/${id}/run`, { mapping }),
  importState: (id: number) => send<Schemas["Import"]>("GET", `/imports/${id}`),
  undoImport: (id: number) => send<Schemas["Import"]>("POST", `/imports/${id}/undo`, {}),
  wear: (axle: number, limit?: string) => send<Schemas["Wear"]>("GET", `/axles/${axle}/wear${limit ? `?limit_mm=${encodeURIComponent(limit)}` : ""}`),
  whatIf: (axle: number, asked: Record<string, string>) => send<Schemas["WhatIf"]>("GET", `/axles/${axle}/what-if?${new URLSearchParams(asked)}`),
  sureness: (axle: number) => send<Schemas["Sureness"]>("GET", `/axles/${axle}/sureness`),
  roads: () => send<Schemas["Roads"]>("GET", "/roads"),
  road: (vehicle: number) => send<Schemas["Road"]>("GET", `/vehicles/${vehicle}/road`),
  planAhead: (vehicle: number, planned: Schemas["PlannedAhead"]) => send<Schemas["Road"]>("POST", `/vehicles/${vehicle}/ahead`, planned),
  dropAhead: (row: number) => send<Schemas["Road"]>("DELETE", `/ahead/${row}`),
  restoreAhead: (row: number) => send<Schemas["Road"]>("POST", `/ahead/${row}/restore`, {}),
  noteOdometer: (vehicle: number, service: Schemas["Service"]) => send<Schemas["Road"]>("POST", `/vehicles/${vehicle}/odometer`, service),
  schedule: (change: Schemas["ScheduleChange"]) => send<Schemas["ScheduleChosen"]>("PUT", "/schedule", change),
  findings: (vehicle: number) => send<Schemas["Findings"]>("GET", `/vehicles/${vehicle}/findings`),
  claim: (vehicle: number, claim: Schemas["Claim"]) => send<Schemas["ClaimChecked"]>("POST", `/vehicles/${vehicle}/claims`, claim),
  chooseSchools: (choice: Schemas["SchoolChoice"]) => send<Schemas["SchoolsChosen"]>("PUT", "/schools", choice),
  symptoms: () => send<Schemas["Symptoms"]>("GET", "/symptoms"),
  symptom: (vehicle: number, answered: Schemas["SymptomAnswered"]) => send<Schemas["SymptomOutcome"]>("POST", `/vehicles/${vehicle}/symptoms`, answered),
  proposedJob: (axle: number) => send<Schemas["JobPlan"]>("GET", `/axles/${axle}/job-plan`),
  planJob: (axle: number, day: string | null) => send<Schemas["JobPlan"]>("POST", `/axles/${axle}/jobs`, { planned_for: day }),
  job: (id: number) => send<Schemas["JobPlan"]>("GET", `/jobs/${id}`),
  changeJob: (id: number, change: Schemas["JobChange"]) => send<Schemas["JobPlan"]>("PATCH", `/jobs/${id}`, change),
  scopeJob: (id: number, scope: Schemas["JobScope"]) => send<Schemas["JobPlan"]>("PUT", `/jobs/${id}/scope`, scope),
  tick: (id: number, step: string, done: boolean) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/ticks`, { step, done }),
  finishJob: (id: number, finish: Schemas["JobFinish"]) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/finish`, finish),
  restoreJob: (id: number) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/restore`, {}),
  otherwise: (id: number, step: string, because: string) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/otherwise`, { step, because }),
  clearSkipped: (id: number, step: string) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/cleared`, { step }),
  settle: (id: number, item: string, done: boolean) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/settled`, { item, done }),
  choosePart: (id: number, line: string, supply: number | null) => send<Schemas["JobPlan"]>("PUT", `/jobs/${id}/choices`, { line, supply }),
  quote: (id: number, total: string | null) => send<Schemas["JobPlan"]>("PUT", `/jobs/${id}/quote`, { total }),
  noteStep: (id: number, step: string, text: string) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/notes`, { step, text }),
  adjust: (id: number, adjustment: Schemas["Adjustment"]) => send<Schemas["JobPlan"]>("POST", `/jobs/${id}/adjustments`, adjustment),
  unadjust: (id: number, event: number) => send<Schemas["JobPlan"]>("DELETE", `/jobs/${id}/adjustments/${event}`),
  offers: (id: number, line: string) => send<Schemas["Offers"]>("GET", `/jobs/${id}/offers?line=${encodeURIComponent(line)}`),
  shelf: () => send<Schemas["Shelf"]>("GET", "/supplies"),
  addSupply: (supply: Schemas["NewSupply"]) => send<Schemas["Supply"]>("POST", "/supplies", supply),
  changeSupply: (id: number, change: Schemas["SupplyChange"]) => send<Schemas["Supply"]>("PATCH", `/supplies/${id}`, change),
  tools: () => send<Schemas["Tools"]>("GET", "/tools"),
  ownTool: (tool: string, owned: boolean) => send<Schemas["Tools"]>("PUT", "/tools", { tool, owned }),
  money: () => send<Schemas["Money"]>("GET", "/money"),
  chooseMoney: (change: Schemas["MoneyChange"]) => send<Schemas["Money"]>("PUT", "/money", change),
};
