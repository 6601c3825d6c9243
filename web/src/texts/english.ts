import { told } from "./pageData";

const british = told("english") === "uk";

/** A text with both forms of a word, British first ("<tyre|tire>"), in the household's English. */
export const english = <const Text extends string>(text: Text): Text =>
  text.replace(/<([^<>|\s][^<>|]*)\|([^<>|\s][^<>|]*)>/g, (_, uk: string, us: string) => (british ? uk : us)) as Text;
