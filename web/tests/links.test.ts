import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { KEY_GROUPS, keysAt } from "../src/parts/keys";

const src = new URL("../src/", import.meta.url);
const files = readdirSync(src, { recursive: true, encoding: "utf8" }).filter((name) => /\.(svelte|ts)$/.test(name));
const read = (name: string) => readFileSync(new URL(name, src), "utf8");

/** Addresses a text leads to, in segments; what is filled in is "*". */
const addresses = (text: string) =>
  [...text.matchAll(/(?:href="#|href=\{`#|push\(`|replace\(`|`#|"#)(\/[^"`?\s)]*)/g)]
    .map(([, path]) => path!.replace(/\$?\{[^}]*\}/g, "*"))
    .filter((path) => path === "/" || !path.endsWith("/"));

const routes = [...read("routes.ts").matchAll(/^ {2}"(\/[^"]*)":/gm)].map(([, path]) => path!.split("/").slice(1));
/** Filled in can be anything; a segment with ? may be left out. */
const fits = (path: string, route: string[]) => {
  const segments = path.split("/").slice(1);
  return (
    segments.length <= route.length &&
    route.every((part, at) => {
      const segment = segments[at];
      if (segment === undefined) return part.endsWith("?");
      return part.startsWith(":") || segment === "*" || segment === part;
    })
  );
};

describe("the ways of the screens", () => {
  it("lead to a screen, wherever a link or a key goes", () => {
    const dead = files.flatMap((name) =>
      addresses(read(name))
        .filter((path) => !routes.some((route) => fits(path, route)))
        .map((path) => `${name}: ${path}`),
    );
    expect(routes.length).toBeGreaterThan(20);
    expect(files.flatMap((name) => addresses(read(name))).length).toBeGreaterThan(60);
    expect(dead).toEqual([]);
  });

  it("have their keys shown on the screen they are of", () => {
    expect(keysAt("/vehicles/3/inspection")[0].map((group) => group.title)).toEqual(["Inspection", "Everywhere"]);
    expect(keysAt("/jobs/4/car/front.left")[0][0]!.title).toBe("At the car");
    expect(keysAt("/jobs/4/steps")[0][0]!.title).toBe("Job");
    expect(keysAt("/help")[0].map((group) => group.title)).toEqual(["Everywhere"]);
    expect(keysAt("/")[1]).toHaveLength(KEY_GROUPS.length - 2);
  });
});
