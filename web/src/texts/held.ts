export const forecastsHeld = "Right so far: {covered} of {known} forecasts with a known end. It should be 8 in 10.";
export const fewForecastsHeld =
  "Right so far: {covered} of {known} forecasts with a known end. That's too few to judge them by.";
