import { api, type Schemas } from "../../api/client";
import { Loader } from "../../parts/loader.svelte";
import { currentPage, type Page } from "../../parts/currentPage.svelte";

/** The vehicle one of its pages shows; the bar is told where one is. To be called while the page is made. */
export function vehicleAt(id: () => number, page: Page): Loader<Schemas["Vehicle"]> {
  const loaded = new Loader<Schemas["Vehicle"]>();
  $effect(() => currentPage.at({ vehicle: id() }, page));
  $effect(() => {
    const of = id();
    void loaded.load(() => api.vehicle(of));
  });
  return loaded;
}
