import { readdirSync, readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { parse } from "svelte/compiler";
import { describe, expect, it } from "vitest";
import { say } from "../src/texts/say";

const sources = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((name) => /\.(svelte|ts)$/.test(name) && !name.endsWith(".d.ts"))
  .map((name) => ({ name, code: readFileSync(join("src", name), "utf8") }));
const modules = import.meta.glob<Record<string, unknown>>(
  ["../src/texts/*.ts", "!../src/texts/{say,english,pageData}.ts"],
  {
    eager: true,
  },
);

/** The texts of a module that a source says: those it names after importing the module. */
const said = (code: string, module: string): string[] => {
  const name = new RegExp(`import \\* as (\\w+) from "[./]+texts/${module}"`).exec(code)?.[1];
  return name ? [...code.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, "g"))].map((found) => found[1]!) : [];
};

/** Words that stand in a component itself: in its markup or in an attribute that is read. */
function wordsIn(code: string): string[] {
  const found: string[] = [];
  const read = new Set([
    "aria-label",
    "title",
    "placeholder",
    "label",
    "labelText",
    "text",
    "modalHeading",
    "legendText",
  ]);
  const walk = (node: unknown, shown: boolean): void => {
    if (Array.isArray(node)) return node.forEach((each) => walk(each, shown));
    if (!node || typeof node !== "object") return;
    const { type, name, data } = node as { type?: string; name?: string; data?: string };
    if (type === "Text" && shown && /[A-Za-z]{2}/.test(data ?? "")) found.push(data!.trim());
    const inside = type === "Attribute" ? read.has(name!) : shown && name !== "kbd" && name !== "code";
    for (const [key, each] of Object.entries(node)) if (key !== "parent") walk(each, inside);
  };
  walk(parse(code, { modern: true }).fragment, true);
  return found;
}

describe("what the screens say", () => {
  it("is said somewhere, every text of it", () => {
    const orphans = Object.entries(modules).flatMap(([path, texts]) => {
      const used = new Set(sources.flatMap(({ code }) => said(code, basename(path, ".ts"))));
      return Object.keys(texts).filter((key) => !used.has(key));
    });
    expect(orphans).toEqual([]);
  });

  // A text glued to another one reads wrong in half of its cases. What joins the members of a list may be short.
  it("is whole: no text starts in the middle of a sentence or takes a nameless rest", () => {
    const joining = ["common.and", "format.thenAngle", "job.then"];
    const glued = Object.entries(modules).flatMap(([path, texts]) =>
      Object.entries(texts)
        .filter(([, text]) => typeof text === "string" && /^[\s,;.)]|\{rest\d*\}/.test(text))
        .map(([key]) => `${basename(path, ".ts")}.${key}`)
        .filter((key) => !joining.includes(key)),
    );
    expect(glued).toEqual([]);
  });

  it("keeps every figure on the line of its unit, and names both forms of a word as such", () => {
    const texts = sources.filter(({ name }) => /^texts.(?!say|english|pageData)/.test(name));
    const figure =
      /[\d}] (?:(?:mm|km\/h|km|mi|mph|ml|N·m|lbf·ft|lbf·in|°C|kg|kB|MB|h|min|s|%)(?![\p{L}·])|\{(?:unit|distanceUnit|odometerUnit)\})/u;
    const strings = (code: string) => [...code.matchAll(/(english\(\s*)?"(?:[^"\\\n]|\\.)*"/g)];
    const loose = texts.flatMap(({ name, code }) =>
      strings(code)
        .filter(([text, called]) => figure.test(text) || (/<[^<>|]*\|[^<>|]*>/.test(text) && !called))
        .map(([text]) => `${name}: ${text}`),
    );
    expect([texts.length > 20, loose]).toEqual([true, []]);
    expect(figure.test("{n} mm") && !figure.test("{n}\u00a0mm") && !figure.test("3 more")).toBe(true);
  });

  it("stands in the texts and nowhere else", () => {
    const components = sources.filter(({ name }) => name.endsWith(".svelte"));
    expect(components.flatMap(({ name, code }) => wordsIn(code).map((words) => `${name}: ${words}`))).toEqual([]);
    expect(wordsIn('<p class="quiet">Save {n}<kbd>s</kbd></p><input aria-label="Day" />')).toEqual(["Save", "Day"]);
  });

  it("has singular and plural, and a blank for what is not known", () => {
    expect(say("{count} {count|mark|marks}", { count: 1 })).toBe("1 mark");
    expect(say("{count} {count|mark|marks} on {day}", { count: 0, day: null })).toBe("0 marks on ");
  });
});
