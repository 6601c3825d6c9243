export type Page = "overview" | "check" | "findings" | "timeline" | "wear" | "data" | "jobs" | "log";

/** The vehicle, or the axle, one is at. */
export interface Where {
  vehicle?: number;
  axle?: number;
}

export interface Here extends Where {
  page: Page;
  /** The window title after the vehicle; empty: the page's name. */
  title: string | null;
}

/** Between two pages of a vehicle its bar stays; this long none of them has come yet. */
const GRACE_MS = 500;

/** Which vehicle the owner is in and where; pages say it as long as they are shown. */
class Whereabouts {
  now = $state.raw<Here | null>(null);
  #leaving: ReturnType<typeof setTimeout> | undefined;

  /** To be called in an effect: what it gives back is called when the page goes. */
  at(where: Where, page: Page, title: string | null = null) {
    if (where.vehicle === undefined && where.axle === undefined) return;
    clearTimeout(this.#leaving);
    this.now = { ...where, page, title };
    return () => {
      this.#leaving = setTimeout(() => (this.now = null), GRACE_MS);
    };
  }
}
export const currentPage = new Whereabouts();
