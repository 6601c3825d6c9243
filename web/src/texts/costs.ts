export const vehicle = "Vehicle";
export const total = "Total";
export const perDistance = "Per distance";
export const byAxle = "By axle";
export const inAll = "{amount} spent on brakes in all";
export const per = "{amount} in 1,000\u00a0{unit}";
export const over = "over {km}";
export const tooShort = "too little driven to say";
export const unpriced = "{count} {count|job|jobs} without a price";
export const what =
  "From finished jobs, as you entered it. Per distance counts what the odometer shows between the first and the last inspection.";
export const none = "Nothing has been spent yet. Finish a job and enter what it cost.";
