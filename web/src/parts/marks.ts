import type { Schemas } from "../api/client";

type Mark = Schemas["Mark"];

/** The marks after one is tapped: one per group, and "good" excludes all others. */
export function toggled(held: string[], marks: Mark[], mark: Mark): string[] {
  if (held.includes(mark.id)) return held.filter((id) => id !== mark.id);
  const excludes = (other: Mark) =>
    (mark.group && other.group === mark.group) || (mark.good && !mark.group) || (other.good && !other.group);
  return [...held.filter((id) => !marks.some((other) => other.id === id && excludes(other))), mark.id];
}
