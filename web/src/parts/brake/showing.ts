import type { Shown } from "./picture.svelte";

/** What hides a brake, and what is drawn only in the middle of a job. */
const IN_THE_WAY = ["wheel", "wheel_nut", "hook", "cylinder_clamp"];

/** A brake as it stands with its wheel off, some parts in colour, some off their place. */
export const showing = (of: string[], off: string[] = []): Shown => ({ off, out: [], in: [], hidden: IN_THE_WAY, of });
