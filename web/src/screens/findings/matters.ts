import type { Schemas } from "../../api/client";

type Finding = Schemas["Finding"];

/** Findings that belong together: the pads of an axle, its rotors, one corner that wears oddly, the fluid. */
export interface VersionedFields {
  key: string;
  lead: Finding;
  others: Finding[];
}

const OF_THE_AXLE = ["pads", "rotors", "pistons"];

function keyOf(finding: Finding): string {
  if (finding.axle_id === null) return `vehicle ${finding.topic}`;
  if (OF_THE_AXLE.includes(finding.topic) || !finding.side) return `${finding.axle_id} ${finding.topic}`;
  return `${finding.axle_id} ${finding.side}`;
}

/** Findings as they come, the worst first, gathered into matters: each led by its first. */
export function matters(findings: Finding[]): VersionedFields[] {
  const found = new Map<string, VersionedFields>();
  for (const finding of findings) {
    const key = keyOf(finding);
    const matter = found.get(key);
    if (matter) matter.others.push(finding);
    else found.set(key, { key, lead: finding, others: [] });
  }
  return [...found.values()];
}
