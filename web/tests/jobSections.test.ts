import createClient from "openapi-fetch";
import { expect, test } from "vitest";
import { jobSections } from "../src/api/jobSections";
import type { paths } from "../src/api/schema";

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });

function served(...answers: Response[]) {
  const asked: Request[] = [];
  const client = createClient<paths>({
    baseUrl: "http://127.0.0.1/api/v1",
    fetch: (request: Request) => {
      asked.push(request);
      return Promise.resolve(answers.shift()!);
    },
  });
  client.use(jobSections());
  return {
    asked,
    client,
    resolve: (id: number) =>
      client.POST("/jobs/{id}/resolved", { params: { path: { id } }, body: { items: ["a"], done: true } }),
  };
}
const read = (client: ReturnType<typeof served>["client"]) => client.GET("/jobs/{id}", { params: { path: { id: 7 } } });

test("a command sends the version of the job the page has, and is answered with the whole job", async () => {
  const { asked, client, resolve } = served(
    json({ id: 7, version: "v1", ready: false, title: "Front" }),
    json({ version: "v2", changed: { ready: true } }, 226),
    json({ version: "v3", changed: { title: "Rear" } }, 226),
  );
  await read(client);
  expect((await resolve(7)).data).toEqual({ id: 7, version: "v2", ready: true, title: "Front" });
  expect((await resolve(7)).data).toEqual({ id: 7, version: "v3", ready: true, title: "Rear" });
  expect(asked.map((request) => request.headers.get("Graver-Have"))).toEqual([null, "v1", "v2"]);
});

test("a job the page has not seen is asked for whole", async () => {
  const { asked, client, resolve } = served(
    json({ id: 7, version: "v1" }),
    json({ id: 8, version: "w1", ready: true }),
  );
  await read(client);
  expect((await resolve(8)).data).toEqual({ id: 8, version: "w1", ready: true });
  expect(asked[1].headers.get("Graver-Have")).toBeNull();
});

test("a refusal passes through", async () => {
  const { client, resolve } = served(json({ id: 7, version: "v1" }), json({ error: { message: "no" } }, 422));
  await read(client);
  expect((await resolve(7)).response.status).toBe(422);
});
