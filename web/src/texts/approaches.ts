export const approachesGraver = "Approaches - Graver";
export const approachesIntro =
  "Where practitioners disagree. Your choice here applies to every job, unless you choose differently in a job's scope. The manufacturer's manual comes first.";
