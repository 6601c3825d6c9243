// A figure, or the token of one, and its unit never stand on two lines.
const beforeUnit =
  /(?<=[\d}]) (?=(?:mm|km\/h|km|mi|mph|ml|N·m|lbf·ft|lbf·in|°C|kg|kB|MB|h|min|s|%)(?![\p{L}·])|\{(?:unit|distanceUnit|odometerUnit)\})/gu;

// Texts with both forms of a word, "<tyre|tire>", are put into the household's English as they are loaded (format/english.ts).
export const spokenTexts = {
  name: "spoken-texts",
  enforce: "pre" as const,
  transform(code: string, id: string) {
    if (!/src\/texts\/(?!say\.ts)[\w.]+\.ts$/.test(id)) return;
    const spoken = code.replace(/"(?:[^"\\\n]|\\.)*"/g, (written) => {
      const text = written.replace(beforeUnit, "\u00a0");
      return /<[^<>|]*\|[^<>|]*>/.test(text) ? `english(${text})` : text;
    });
    const call = spoken.includes("english(") ? `import { english } from "../format/english";\n` : "";
    return spoken === code ? undefined : call + spoken;
  },
};
