import { wrap } from "svelte-spa-router/wrap";
import Garage from "./routes/Garage.svelte";
import Missing from "./routes/Missing.svelte";

// The garage comes with the first page; every other screen is fetched when it is opened.
export const routes = {
  "/": Garage,
  "/vehicles/new": wrap({ asyncComponent: () => import("./routes/NewVehicle.svelte") }),
  "/vehicles/:id": wrap({ asyncComponent: () => import("./routes/Vehicle.svelte") }),
  "/vehicles/:id/import": wrap({ asyncComponent: () => import("./routes/Import.svelte") }),
  "/vehicles/:id/findings": wrap({ asyncComponent: () => import("./routes/Findings.svelte") }),
  "/vehicles/:id/road": wrap({ asyncComponent: () => import("./routes/Road.svelte") }),
  "/look-overs/:id": wrap({ asyncComponent: () => import("./routes/LookOver.svelte") }),
  "/bin": wrap({ asyncComponent: () => import("./routes/Bin.svelte") }),
  "/workshop": wrap({ asyncComponent: () => import("./routes/Workshop.svelte") }),
  "/axles/:id/brake-data": wrap({ asyncComponent: () => import("./routes/BrakeData.svelte") }),
  "/vehicles/:id/look-over": wrap({ asyncComponent: () => import("./routes/WalkRound.svelte") }),
  "/axles/:id/wear": wrap({ asyncComponent: () => import("./routes/Wear.svelte") }),
  "/axles/:id/job-plan/:part?": wrap({ asyncComponent: () => import("./routes/ProposedJob.svelte") }),
  "/jobs/:id/:part?": wrap({ asyncComponent: () => import("./routes/Job.svelte") }),
  "*": Missing,
};
