import { asSeen, client, taken, type Schemas } from "./client";

// A file goes as it is.
const file = (type: string) => ({
  bodySerializer: (body: unknown) => body as BodyInit,
  headers: { "Content-Type": type },
});
const jpeg = file("image/jpeg");
const tar = file("application/x-tar");
const bytes = file("application/octet-stream");

/** The same of what only some screens ask for, and the first page does not carry. */
export const lazyApi = {
  photographStep: (id: number, step: string, photo: Blob) =>
    taken(
      client.POST("/jobs/{id}/photos", {
        params: { path: { id }, query: { step } },
        body: photo as unknown as string,
        ...jpeg,
      }),
    ),
  photographInspection: (id: number, photo: Blob) =>
    taken(
      client.POST("/inspections/{id}/photos", { params: { path: { id } }, body: photo as unknown as string, ...jpeg }),
    ),
  riskByDate: (vehicle: number) =>
    taken(client.GET("/vehicles/{id}/risk-by-date", { params: { path: { id: vehicle } } })),
  movedTrip: (id: number, from: string) =>
    taken(client.GET("/planned-events/{id}/preview-move", { params: { path: { id }, query: { from } } })),
  moveTrip: (id: number, from: string, seen?: string | null) =>
    asSeen(seen, (header) =>
      client.POST("/planned-events/{id}/move", { params: { header, path: { id } }, body: { from } }),
    ),
  units: () => taken(client.GET("/units")),
  chooseUnits: (body: Schemas["UnitsChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/units", { params: { header }, body })),
  vocabulary: () => taken(client.GET("/vocabulary")),
  chooseVocabulary: (body: Schemas["VocabularyChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/vocabulary", { params: { header }, body })),
  help: () => taken(client.GET("/help")),
  forecastsHeld: () => taken(client.GET("/forecasts-held")),
  places: () => taken(client.GET("/places")),
  scheduleChosen: () => taken(client.GET("/schedule")),
  drills: () => taken(client.GET("/drills")),
  drill: (kind: string, seed: number) =>
    taken(client.GET("/drills/{kind}", { params: { path: { kind }, query: { seed: String(seed) } } })),
  answerDrill: (kind: string, answer: Schemas["DrillAnswer"]) =>
    taken(client.POST("/drills/{kind}/answers", { params: { path: { kind } }, body: answer })),
  removePhoto: (id: number) => taken(client.DELETE("/photos/{id}", { params: { path: { id } } })),
  restorePhoto: (id: number) => taken(client.POST("/photos/{id}/restore", { params: { path: { id } } })),
  scanToolAction: (id: number, act: Schemas["ScanToolAction"]) =>
    taken(client.POST("/jobs/{id}/scan-tool-actions", { params: { path: { id } }, body: act })),
  jobDrawing: (id: number) => taken(client.GET("/jobs/{id}/drawing", { params: { path: { id } } })),
  proposedDrawing: (axle: number) =>
    taken(client.GET("/axles/{id}/job-plan/drawing", { params: { path: { id: axle } } })),
  axleDrawing: (id: number, side?: string) =>
    taken(client.GET("/axles/{id}/drawing", { params: { path: { id }, query: side ? { side } : {} } })),
  usualDrawing: (kind: string) => taken(client.GET("/drawings/{kind}", { params: { path: { kind } } })),
  calendarFeed: () => taken(client.GET("/calendar-feed")),
  openCalendarFeed: () => taken(client.PUT("/calendar-feed")),
  closeCalendarFeed: () => taken(client.DELETE("/calendar-feed")),
  measurePhoto: (marks: Schemas["PhotoMarks"]) => taken(client.POST("/photo-measurements", { body: marks })),
  bedIn: (id: number, query: Record<string, string>) =>
    taken(client.GET("/jobs/{id}/bed-in", { params: { path: { id }, query } })),
  addFollowUp: (vehicle: number, end: Schemas["NewFollowUp"]) =>
    taken(client.POST("/vehicles/{id}/follow-ups", { params: { path: { id: vehicle } }, body: end })),
  changeFollowUp: (id: number, because: string | null) =>
    taken(client.PATCH("/follow-ups/{id}", { params: { path: { id } }, body: { because } })),
  answerCause: (vehicle: number, answer: Schemas["ConfirmedCause"]) =>
    taken(client.POST("/vehicles/{id}/causes", { params: { path: { id: vehicle } }, body: answer })),
  recordTorque: (id: number, torque: Schemas["TorqueReached"]) =>
    taken(client.POST("/jobs/{id}/torques", { params: { path: { id } }, body: torque })),
  recordReadings: (id: number, readings: Schemas["JobReadings"]) =>
    taken(client.POST("/jobs/{id}/readings", { params: { path: { id } }, body: readings })),
  signIn: (given: Schemas["SignIn"]) => taken(client.POST("/session", { body: given })),
  session: () => taken(client.GET("/session")),
  namePerson: (person: string) => taken(client.PATCH("/session", { body: { person } })),
  access: () => taken(client.GET("/access")),
  changeAccess: (change: Schemas["AccessChange"]) => taken(client.PATCH("/access", { body: change })),
  pair: (guest: boolean) => taken(client.POST("/access/pairings", { body: { guest } })),
  changeSession: (id: number, guest: boolean) =>
    taken(client.PATCH("/access/sessions/{id}", { params: { path: { id } }, body: { guest } })),
  endSession: (id: number) => taken(client.DELETE("/access/sessions/{id}", { params: { path: { id } } })),
  progress: (id: number) => taken(client.GET("/jobs/{id}/progress", { params: { path: { id } } })),
  imports: (vehicle: number) => taken(client.GET("/vehicles/{id}/imports", { params: { path: { id: vehicle } } })),
  upload: (vehicle: number, file: File) =>
    taken(
      client.POST("/vehicles/{id}/imports", {
        params: { path: { id: vehicle }, query: { name: file.name } },
        body: file as unknown as string,
        bodySerializer: (table: unknown) => table as Blob,
        headers: { "content-type": "text/csv" },
      }),
    ),
  approaches: () => taken(client.GET("/approaches")),
  approachJob: (id: number, approach: string, option: string | null, seen?: string | null) =>
    asSeen(seen, (header) =>
      client.PUT("/jobs/{id}/approaches", { params: { header, path: { id } }, body: { approach, option } }),
    ),
  finishJob: (id: number, finish: Schemas["JobFinish"]) =>
    taken(client.POST("/jobs/{id}/finish", { params: { path: { id } }, body: finish })),
  restoreJob: (id: number) => taken(client.POST("/jobs/{id}/restore", { params: { path: { id } } })),
  putBackJob: (id: number) => taken(client.POST("/jobs/{id}/put-back", { params: { path: { id } } })),
  pauseJob: (id: number) => taken(client.POST("/jobs/{id}/pause", { params: { path: { id } } })),
  jobTogether: (id: number, because: string) =>
    taken(client.POST("/jobs/{id}/together", { params: { path: { id } }, body: { because } })),
  tickAfterwards: (id: number, step: string, odometer: Schemas["Odometer"]) =>
    taken(client.POST("/jobs/{id}/afterwards", { params: { path: { id } }, body: { step, odometer } })),
  answerStep: (id: number, step: string, answer: string) =>
    taken(client.POST("/jobs/{id}/answers", { params: { path: { id } }, body: { step, answer } })),
  deviate: (id: number, step: string, because: string) =>
    taken(client.POST("/jobs/{id}/deviations", { params: { path: { id } }, body: { step, because } })),
  resolve: (id: number, items: string[], done: boolean) =>
    taken(client.POST("/jobs/{id}/resolved", { params: { path: { id } }, body: { items, done } })),
  noteStep: (id: number, step: string, text: string) =>
    taken(client.POST("/jobs/{id}/notes", { params: { path: { id } }, body: { step, text } })),
  adjust: (id: number, plan_edit: Schemas["PlanEdit"]) =>
    taken(client.POST("/jobs/{id}/plan-edits", { params: { path: { id } }, body: plan_edit })),
  unadjust: (id: number, event: number) =>
    taken(client.DELETE("/jobs/{id}/plan-edits/{event}", { params: { path: { id, event } } })),
  proposals: (axle: number, from: string) =>
    taken(client.GET("/axles/{id}/brake-data/proposals", { params: { path: { id: axle }, query: { from } } })),
  restoreDraft: (binned: number) => taken(client.POST("/drafts/{id}/restore", { params: { path: { id: binned } } })),
  backups: () => taken(client.GET("/backups")),
  makeBackup: () => taken(client.POST("/backups")),
  addBackup: (archive: Blob, passphrase?: string) =>
    taken(
      client.POST("/backups/archives", {
        params: { header: passphrase ? { "Graver-Passphrase": encodeURIComponent(passphrase) } : {} },
        body: archive as unknown as string,
        ...tar,
      }),
    ),
  encryptBackup: (passphrase: string): Promise<Blob> =>
    taken(
      client.POST("/backups/encrypted-copies", { body: { passphrase }, parseAs: "blob" }),
    ) as Promise<unknown> as Promise<Blob>,
  logbook: (query: Record<"words" | "vehicle" | "kind" | "from" | "upto" | "most", string>) =>
    taken(client.GET("/logbook", { params: { query } })),
  logbookSets: (vehicle: string) => taken(client.GET("/logbook/sets", { params: { query: { vehicle } } })),
  logbookCosts: () => taken(client.GET("/logbook/costs")),
  importHousehold: (household: Blob, mode: "merge" | "replace", trial: boolean) =>
    taken(
      client.POST("/household-imports", {
        params: { query: { mode, ...(trial ? { trial: "yes" } : {}) } },
        body: household as unknown as string,
        ...bytes,
      }),
    ),
  restoreBackup: (name: string) => taken(client.POST("/backups/{name}/restore", { params: { path: { name } } })),
  bin: () => taken(client.GET("/bin")),
  checkZero: (id: number, check: Schemas["NewZeroCheck"]) =>
    taken(client.POST("/instruments/{id}/zero-checks", { params: { path: { id } }, body: check })),
  withdrawZeroCheck: (id: number, check: number) =>
    taken(client.DELETE("/instruments/{id}/zero-checks/{check}", { params: { path: { id, check } } })),
  correctZero: (id: number) => taken(client.POST("/instruments/{id}/corrections", { params: { path: { id } } })),
  torqueSettings: (axle: number, extension: string) =>
    taken(
      client.GET("/axles/{id}/torque-settings", { params: { path: { id: axle }, query: { extension_mm: extension } } }),
    ),
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
  forecastQuality: (axle: number) =>
    taken(client.GET("/axles/{id}/forecast-quality", { params: { path: { id: axle } } })),
  planEvent: (vehicle: number, planned: Schemas["NewPlannedEvent"]) =>
    taken(client.POST("/vehicles/{id}/planned-events", { params: { path: { id: vehicle } }, body: planned })),
  dropPlanned: (row: number) => taken(client.DELETE("/planned-events/{id}", { params: { path: { id: row } } })),
  restorePlanned: (row: number) =>
    taken(client.POST("/planned-events/{id}/restore", { params: { path: { id: row } } })),
  noteOdometer: (vehicle: number, service: Schemas["Service"]) =>
    taken(client.POST("/vehicles/{id}/odometer", { params: { path: { id: vehicle } }, body: service })),
  logClaim: (vehicle: number, claim: Schemas["PadClaim"]) =>
    taken(client.POST("/vehicles/{id}/claims/log", { params: { path: { id: vehicle } }, body: claim })),
  claim: (vehicle: number, claim: Schemas["Claim"]) =>
    taken(client.POST("/vehicles/{id}/claims", { params: { path: { id: vehicle } }, body: claim })),
  symptoms: () => taken(client.GET("/symptoms")),
  symptom: (vehicle: number, answered: Schemas["SymptomAnswered"]) =>
    taken(client.POST("/vehicles/{id}/symptoms", { params: { path: { id: vehicle } }, body: answered })),
  resolveDeviation: (id: number, step: string) =>
    taken(client.POST("/jobs/{id}/deviations/{step}/resolution", { params: { path: { id, step } } })),
  offers: (id: number, line: string) =>
    taken(client.GET("/jobs/{id}/offers", { params: { path: { id }, query: { line } } })),
  inspectionOrder: (order: Schemas["InspectionOrder"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/inspection-order", { params: { header }, body: order })),
  preview: (vehicle: number, inspection: Schemas["Inspection"]) =>
    taken(client.POST("/vehicles/{id}/inspections/preview", { params: { path: { id: vehicle } }, body: inspection })),
  addInstrument: (instrument: Schemas["NewInstrument"]) => taken(client.POST("/instruments", { body: instrument })),
  changeInstrument: (id: number, change: Schemas["InstrumentChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/instruments/{id}", { params: { header, path: { id } }, body: change })),
  wrenches: () => taken(client.GET("/torque-wrenches")),
  addWrench: (wrench: Schemas["NewTorqueWrench"]) => taken(client.POST("/torque-wrenches", { body: wrench })),
  changeWrench: (id: number, change: Schemas["TorqueWrenchChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PATCH("/torque-wrenches/{id}", { params: { header, path: { id } }, body: change })),
  whatIf: (axle: number, asked: Record<string, string>) =>
    taken(client.GET("/axles/{id}/what-if", { params: { path: { id: axle }, query: asked } })),
  schedule: (change: Schemas["ScheduleChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/schedule", { params: { header }, body: change })),
  quote: (id: number, quote: Schemas["Quote"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/jobs/{id}/quote", { params: { header, path: { id } }, body: quote })),
  shelf: () => taken(client.GET("/supplies")),
  tools: () => taken(client.GET("/tools")),
  money: () => taken(client.GET("/money")),
  chooseMoney: (change: Schemas["MoneyChange"], seen?: string | null) =>
    asSeen(seen, (header) => client.PUT("/money", { params: { header }, body: change })),
};
