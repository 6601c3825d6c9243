import { told } from "./pageData";

const british = told("english") === "uk";

/** A text in the household's English, of its two forms, British first: "<tyre|tire>". */
export const english = (text: string): string =>
  text.replace(/<([^<>|\s][^<>|]*)\|([^<>|\s][^<>|]*)>/g, (_, uk: string, us: string) => (british ? uk : us));
