type NameOf<Token extends string> = Token extends `${infer Name}|${string}` ? Name : Token;
/** The names of the tokens of a text: "{n} of {all}" has "n" and "all". */
type Tokens<Text extends string> = Text extends `${string}{${infer Token}}${infer Rest}`
  ? NameOf<Token> | Tokens<Rest>
  : never;

/**
 * A text with its tokens filled in: {name} as it is given, {count|mark|marks} the singular for 1, else the plural. What a
 * text has no value for, or has no token for, does not compile. A name that is empty leaves no gap: "{axle} pads" is
 * "Pads" then.
 */
export function say<const Text extends string>(
  text: Text,
  tokens: Record<Tokens<Text>, string | number | null | undefined>,
): string {
  let headless = false;
  const whole = text.replace(/\{(\w+)\}:? /g, (found, name: string, at: number) => {
    if (tokens[name as Tokens<Text>] !== "") return found;
    headless ||= at === 0;
    return "";
  });
  const said = whole.replace(/\{(\w+)(?:\|([^|}]*)\|([^}]*))?\}/g, (_, name: string, one?: string, many?: string) => {
    const value = tokens[name as Tokens<Text>];
    return one === undefined ? String(value ?? "") : String((Number(value) === 1 ? one : many) ?? "");
  });
  return headless ? said.charAt(0).toUpperCase() + said.slice(1) : said;
}
