import { api, type Schemas } from "../../api/client";
import { Loader } from "../../parts/loader.svelte";
import { currentPage, type Page } from "../../parts/currentPage.svelte";

/** The vehicle a page shows; also tells the vehicle bar. Call it while the page is created. */
export function vehicleAt(id: () => number, page: Page): Loader<Schemas["Vehicle"]> {
  const loaded = new Loader<Schemas["Vehicle"]>();
  $effect(() => currentPage.at({ vehicle: id() }, page));
  $effect(() => {
    const of = id();
    void loaded.load(() => api.vehicle(of));
  });
  return loaded;
}
