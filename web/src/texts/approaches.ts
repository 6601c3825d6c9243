export const approachesGraver = "Approaches, Graver";
export const whatTheyAre =
  "Where practitioners disagree. What is chosen here holds for every job; a job's scope may have another one. The maker's manual comes first.";
