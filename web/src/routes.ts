import { wrap } from "svelte-spa-router/wrap";
import Garage from "./screens/garage/Garage.svelte";
import Missing from "./screens/missing/Missing.svelte";

// The garage comes with the first page; every other screen is fetched when it is opened.
export const routes = {
  "/": Garage,
  "/vehicles/new": wrap({ asyncComponent: () => import("./screens/newVehicle/NewVehicle.svelte") }),
  "/vehicles/:id": wrap({ asyncComponent: () => import("./screens/vehicle/Vehicle.svelte") }),
  "/vehicles/:id/first": wrap({ asyncComponent: () => import("./screens/newVehicle/FirstThings.svelte") }),
  "/vehicles/:id/import": wrap({ asyncComponent: () => import("./screens/import/Import.svelte") }),
  "/vehicles/:id/findings": wrap({ asyncComponent: () => import("./screens/findings/Findings.svelte") }),
  "/vehicles/:id/timeline": wrap({ asyncComponent: () => import("./screens/timeline/VehicleTimeline.svelte") }),
  "/vehicles/:id/log": wrap({ asyncComponent: () => import("./screens/logbook/VehicleLog.svelte") }),
  "/vehicles/:id/report": wrap({ asyncComponent: () => import("./screens/logbook/VehicleReport.svelte") }),
  "/vehicles/:id/jobs": wrap({ asyncComponent: () => import("./screens/logbook/VehicleJobs.svelte") }),
  "/timeline": wrap({ asyncComponent: () => import("./screens/timeline/HouseholdTimeline.svelte") }),
  "/logbook/:part?": wrap({ asyncComponent: () => import("./screens/logbook/Logbook.svelte") }),
  "/help": wrap({ asyncComponent: () => import("./screens/help/Help.svelte") }),
  "/settings": wrap({ asyncComponent: () => import("./screens/settings/Settings.svelte") }),
  "/inspections/:id": wrap({ asyncComponent: () => import("./screens/loggedInspection/LoggedInspection.svelte") }),
  "/bin": wrap({ asyncComponent: () => import("./screens/bin/Bin.svelte") }),
  "/backups": wrap({ asyncComponent: () => import("./screens/backups/Backups.svelte") }),
  "/access": wrap({ asyncComponent: () => import("./screens/access/AccessPage.svelte") }),
  "/pair/:code": wrap({ asyncComponent: () => import("./screens/access/Pair.svelte") }),
  "/approaches": wrap({ asyncComponent: () => import("./screens/approaches/ApproachesPage.svelte") }),
  "/practice/:kind?/:seed?": wrap({ asyncComponent: () => import("./screens/practice/Practice.svelte") }),
  "/workshop": wrap({ asyncComponent: () => import("./screens/workshop/Workshop.svelte") }),
  "/axles/:id/brake-data": wrap({ asyncComponent: () => import("./screens/brakeData/BrakeData.svelte") }),
  "/vehicles/:id/inspection": wrap({ asyncComponent: () => import("./screens/inspection/InspectionForm.svelte") }),
  "/axles/:id/wear": wrap({ asyncComponent: () => import("./screens/wear/Wear.svelte") }),
  "/axles/:id/job-plan/:part?": wrap({ asyncComponent: () => import("./screens/job/ProposedJob.svelte") }),
  "/jobs/:id/car/:step?": wrap({ asyncComponent: () => import("./screens/atTheCar/AtTheCar.svelte") }),
  "/jobs/:id/:part?": wrap({ asyncComponent: () => import("./screens/job/Job.svelte") }),
  "*": Missing,
};
