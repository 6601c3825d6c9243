import type { Middleware } from "openapi-fetch";
import type { components } from "./schema";

type Job = components["schemas"]["JobPlan"];
type Changed = components["schemas"]["JobChanged"];

const HAVE = "Graver-Have";
const COMMAND = /\/jobs\/\d+(\/|$)/;
// Answers of the screens that are open now, and of the command before.
const MOST = 4;

/**
 * A command says which version of the job the page has, and is answered with what changed. The screens always get the
 * whole job.
 */
export function jobSections(): Middleware {
  const known = new Map<string, Job>();
  const keep = (job: Job) => {
    known.delete(job.version);
    known.set(job.version, job);
    if (known.size > MOST) known.delete(known.keys().next().value!);
  };
  const newest = (id: number) => [...known.values()].reverse().find((job) => job.id === id);
  const had = new WeakMap<Request, Job>();

  return {
    onRequest({ request }) {
      const path = new URL(request.url).pathname;
      if (request.method === "GET" || !COMMAND.test(path)) return undefined;
      const job = newest(Number(path.match(/\/jobs\/(\d+)/)![1]));
      if (!job) return undefined;
      had.set(request, job);
      request.headers.set(HAVE, job.version);
      return request;
    },
    async onResponse({ request, response }) {
      const path = new URL(request.url).pathname;
      if (!response.ok || !/\/(jobs|job-plan)(\/|$)/.test(path)) return undefined;
      if (!response.headers.get("Content-Type")?.startsWith("application/json")) return undefined;
      const answer = (await response.clone().json()) as Job | Changed;
      if (!("version" in answer)) return undefined;
      if (!("changed" in answer)) {
        keep(answer);
        return undefined;
      }
      const whole = { ...had.get(request), ...answer.changed, version: answer.version } as Job;
      keep(whole);
      return new Response(JSON.stringify(whole), { status: 200, headers: response.headers });
    },
  };
}
