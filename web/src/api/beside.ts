import { asSeen, client, taken, type Schemas } from "./client";

/** What only some screens ask for, and the first page does not carry: at the car, open ends, phone access. */
// A picture goes as it is.
const jpeg = { bodySerializer: (body: unknown) => body as BodyInit, headers: { "Content-Type": "image/jpeg" } };

export const beside = {
  photographStep: (id: number, step: string, photo: Blob) =>
    taken(
      client.POST("/jobs/{id}/photos", {
        params: { path: { id }, query: { step } },
        body: photo as unknown as string,
        ...jpeg,
      }),
    ),
  photographLookOver: (id: number, photo: Blob) =>
    taken(
      client.POST("/look-overs/{id}/photos", { params: { path: { id } }, body: photo as unknown as string, ...jpeg }),
    ),
  ahead: (vehicle: number) => taken(client.GET("/vehicles/{id}/ahead", { params: { path: { id: vehicle } } })),
  movedTrip: (id: number, from: string) =>
    taken(client.GET("/planned-events/{id}/moved", { params: { path: { id }, query: { from } } })),
  moveTrip: (id: number, from: string) =>
    taken(client.POST("/planned-events/{id}/move", { params: { path: { id } }, body: { from } })),
  units: () => taken(client.GET("/units")),
  chooseUnits: (body: Schemas["UnitsChange"]) => taken(client.PUT("/units", { body })),
  words: () => taken(client.GET("/words")),
  chooseWords: (body: Schemas["WordsChange"]) => taken(client.PUT("/words", { body })),
  help: () => taken(client.GET("/help")),
  places: () => taken(client.GET("/places")),
  scheduleChosen: () => taken(client.GET("/schedule")),
  drills: () => taken(client.GET("/drills")),
  drill: (kind: string, seed: number) =>
    taken(client.GET("/drills/{kind}", { params: { path: { kind }, query: { seed: String(seed) } } })),
  answerDrill: (kind: string, answer: Schemas["DrillAnswer"]) =>
    taken(client.POST("/drills/{kind}/answers", { params: { path: { kind } }, body: answer })),
  removePhoto: (id: number) => taken(client.DELETE("/photos/{id}", { params: { path: { id } } })),
  restorePhoto: (id: number) => taken(client.POST("/photos/{id}/restore", { params: { path: { id } } })),
  actByUnit: (id: number, act: Schemas["UnitAct"]) =>
    taken(client.POST("/jobs/{id}/unit-acts", { params: { path: { id } }, body: act })),
  bedIn: (id: number, query: Record<string, string>) =>
    taken(client.GET("/jobs/{id}/bed-in", { params: { path: { id }, query } })),
  addOpenEnd: (vehicle: number, end: Schemas["NewOpenEnd"]) =>
    taken(client.POST("/vehicles/{id}/open-ends", { params: { path: { id: vehicle } }, body: end })),
  changeOpenEnd: (id: number, because: string | null) =>
    taken(client.PATCH("/open-ends/{id}", { params: { path: { id } }, body: { because } })),
  answerCause: (vehicle: number, answer: Schemas["CauseAnswer"]) =>
    taken(client.POST("/vehicles/{id}/causes", { params: { path: { id: vehicle } }, body: answer })),
  recordTorque: (id: number, torque: Schemas["TorqueReached"]) =>
    taken(client.POST("/jobs/{id}/torques", { params: { path: { id } }, body: torque })),
  recordReadings: (id: number, readings: Schemas["JobReadings"]) =>
    taken(client.POST("/jobs/{id}/readings", { params: { path: { id } }, body: readings })),
  signIn: (given: Schemas["SignIn"]) => taken(client.POST("/session", { body: given })),
  access: () => taken(client.GET("/access")),
  changeAccess: (change: Schemas["AccessChange"]) => taken(client.PATCH("/access", { body: change })),
  pair: () => taken(client.POST("/access/pairings")),
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
  schools: () => taken(client.GET("/schools")),
  approachJob: (id: number, approach: string, option: string | null, seen?: string | null) =>
    asSeen(seen, (header) =>
      client.PUT("/jobs/{id}/approaches", { params: { header, path: { id } }, body: { approach, option } }),
    ),
  finishJob: (id: number, finish: Schemas["JobFinish"]) =>
    taken(client.POST("/jobs/{id}/finish", { params: { path: { id } }, body: finish })),
  restoreJob: (id: number) => taken(client.POST("/jobs/{id}/restore", { params: { path: { id } } })),
  otherwise: (id: number, step: string, because: string) =>
    taken(client.POST("/jobs/{id}/otherwise", { params: { path: { id } }, body: { step, because } })),
  resolve: (id: number, items: string[], done: boolean) =>
    taken(client.POST("/jobs/{id}/resolved", { params: { path: { id } }, body: { items, done } })),
  noteStep: (id: number, step: string, text: string) =>
    taken(client.POST("/jobs/{id}/notes", { params: { path: { id } }, body: { step, text } })),
  adjust: (id: number, adjustment: Schemas["Adjustment"]) =>
    taken(client.POST("/jobs/{id}/adjustments", { params: { path: { id } }, body: adjustment })),
  unadjust: (id: number, event: number) =>
    taken(client.DELETE("/jobs/{id}/adjustments/{event}", { params: { path: { id, event } } })),
};
