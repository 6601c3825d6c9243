/** What the parts of a brake are painted as. */
const STUFF: Record<string, string> = {
  pale: "#d5dadc",
  plain: "#c2c9cd",
  hub: "#c2c9cd",
  rotor: "#a9b2b8",
  caliper: "#a3acae",
  bracket: "#8e9a9a",
  piston: "#d9dee0",
  plate: "#6f7a80",
  friction: "#a9743a",
  bolt: "#b5bdc9",
  spring: "#97a1ab",
  rubber: "#5b6469",
  wheel: "#5b6469",
  hook: "#5b6469",
  pipe: "#b98d5c",
  cable: "#66728a",
  groove: "#59636a",
  heat: "#6b79ad",
  rust: "#a06a42",
};
/** What the picture is about. */
const NOW = "#14808f";
/** How much black, or white where positive, is mixed in, from the shade to the light. */
const SHADES = [-0.34, -0.2, 0, 0.22, 0.42];

const made = new Map<string, string>();

/** Of a small part: dark, middling and light are enough. */
const COARSE = [0, 0, 2, 4, 4];

/** A colour in a light of 0 to 1. */
export function painted(stuff: string, now: boolean, light: number, small: boolean): string {
  const fine = Math.min(Math.floor(light * SHADES.length), SHADES.length - 1);
  const shade = small ? COARSE[fine]! : fine;
  const key = `${now ? "now" : stuff} ${shade}`;
  if (!made.has(key)) made.set(key, mixed(now ? NOW : (STUFF[stuff] ?? STUFF["plain"]!), SHADES[shade]!));
  return made.get(key)!;
}

function mixed(colour: string, by: number): string {
  const parts = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
  const mix = parts.map((part) => Math.round(by < 0 ? part * (1 + by) : part + (255 - part) * by));
  return `#${mix.map((part) => part.toString(16).padStart(2, "0")).join("")}`;
}
