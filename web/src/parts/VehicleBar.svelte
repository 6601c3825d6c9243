<script lang="ts">
  import * as texts from "../texts/vehicleBar";
  import { say } from "../texts/say";
  import { lazyApi } from "../api/lazyApi";
  import type { Schemas } from "../api/client";
  import { axleTitle, axleWord, lowerFirst, upperFirst } from "../format/words";
  import { Loader } from "./loader.svelte";
  import type { Here, Page } from "./currentPage.svelte";

  /** The vehicle one is in, its own places, and the vehicles beside it: always at the same spot. */
  let { here }: { here: Here } = $props();
  const places = new Loader<Schemas["Places"]>();
  // Drafts and jobs may have changed on the page before.
  $effect(() => {
    void here;
    void places.load(lazyApi.places);
  });

  const all = $derived(places.value?.vehicles ?? []);
  const at = $derived(
    all.findIndex((place) => place.id === here.vehicle || place.axles.some((each) => each.id === here.axle)),
  );
  const vehicle = $derived(all[at]);
  const axle = $derived(vehicle?.axles.find((each) => each.id === here.axle));

  const AXLE_PAGES: Partial<Record<Page, string>> = { wear: "wear", data: "brake-data" };
  const PATHS: Partial<Record<Page, string>> = {
    overview: "",
    check: "/inspection",
    findings: "/findings",
    timeline: "/timeline",
    jobs: "/jobs",
    log: "/log",
  };
  const before: Page[] = ["overview", "check", "findings", "timeline"];
  const after: Page[] = ["jobs", "log"];
  const label: Record<Page, string> = {
    overview: texts.overview,
    check: texts.inspection,
    findings: texts.findings,
    timeline: texts.timeline,
    wear: texts.wear,
    data: texts.brakeData,
    jobs: texts.jobs,
    log: texts.log,
  };
  const ofAxle = (page: Page, id: number) => `#/axles/${id}/${AXLE_PAGES[page]}`;
  /** The same place of another vehicle, of the axle of the same name. */
  function address(of: Schemas["Place"], page: Page): string {
    const other = of.axles.find((each) => each.name === axle?.name) ?? of.axles[0]!;
    return AXLE_PAGES[page] ? ofAxle(page, other.id) : `#/vehicles/${of.id}${PATHS[page]}`;
  }
  /** The draft or job waiting there. */
  const begun = (page: Page, at: Schemas["Place"]) => [
    ...(page === "check" && at.check ? [texts.draft] : []),
    ...(page === "jobs" && at.job ? [texts.inProgress] : []),
  ];
  // The place one is at is in view, however narrow the screen.
  let bar = $state<HTMLElement | null>(null);
  $effect(() => {
    void [here.page, here.axle, vehicle];
    const [at, within] = [bar?.querySelector("[aria-current]"), bar].map((each) => each?.getBoundingClientRect());
    if (at && within) bar!.scrollLeft += at.left - within.left - (within.width - at.width) / 2;
  });
  const beyond = $derived([all[at - 1], all[at + 1]]);
  const page = $derived(
    here.title ??
      (axle && AXLE_PAGES[here.page]
        ? say(texts.axlePage, { axle: axleWord(axle.name), page: lowerFirst(label[here.page]) })
        : lowerFirst(label[here.page])),
  );
</script>

<svelte:head
  >{#if vehicle}<title>{say(texts.title, { name: vehicle.name, page })}</title>{/if}</svelte:head
>
<nav class="vehicle-bar" bind:this={bar} aria-label={say(texts.placesOf, { name: vehicle?.name ?? "" })}>
  {#if vehicle}
    <span class="which">
      {#if beyond[0]}<a
          class="beside"
          href={address(beyond[0], here.page)}
          aria-label={say(texts.previousVehicle, { name: beyond[0].name })}>‹</a
        >{/if}
      <a class="name" href="#/vehicles/{vehicle.id}">{vehicle.name}</a>
      {#if beyond[1]}<a
          class="beside"
          href={address(beyond[1], here.page)}
          aria-label={say(texts.nextVehicle, { name: beyond[1].name })}>›</a
        >{/if}
    </span>
    {#each before as page (page)}{@render place(page)}{/each}
    {#each Object.keys(AXLE_PAGES) as Page[] as page (page)}
      <span class="pair" role="group" aria-label={label[page]}>
        <span class="what">{label[page]}</span>
        {#each vehicle.axles as each (each.id)}<a
            href={ofAxle(page, each.id)}
            aria-current={here.page === page && here.axle === each.id ? "page" : undefined}
            aria-label={say(texts.axlePage, { axle: upperFirst(axleWord(each.name)), page: lowerFirst(label[page]) })}
            >{axleTitle(each.name)}</a
          >{/each}
      </span>
    {/each}
    {#each after as page (page)}{@render place(page)}{/each}
  {/if}
</nav>

{#snippet place(page: Page)}
  <a href={address(vehicle!, page)} aria-current={here.page === page ? "page" : undefined}
    >{label[page]}{#each begun(page, vehicle!) as word (word)}{" "}<em>{word}</em>{/each}</a
  >
{/snippet}

<style>
  .vehicle-bar {
    display: flex;
    align-items: stretch;
    gap: 0 1.1rem;
    min-height: 2.75rem;
    padding: 0 1.25rem;
    background: var(--sheet);
    border-bottom: 1px solid var(--line);
    overflow-x: auto;
    white-space: nowrap;
  }
  .vehicle-bar > :global(*) {
    flex: none;
  }
  a {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
    color: inherit;
    text-decoration: none;
    border-bottom: 3px solid transparent;
    border-top: 3px solid transparent;
    min-width: 1.5rem;
    justify-content: center;
  }
  a:hover {
    text-decoration: underline;
  }
  a[aria-current] {
    border-bottom-color: var(--friction);
    font-weight: 600;
  }
  a:focus-visible {
    outline-offset: -3px;
  }
  .which {
    display: inline-flex;
    min-width: 9.5rem;
    gap: 0.25rem;
    border-right: 1px solid var(--line);
    padding-right: 0.75rem;
  }
  .name {
    font-family: "Barlow Semi Condensed", sans-serif;
    font-weight: 600;
    font-size: 1.15rem;
  }
  .beside {
    color: var(--petrol);
    font-size: 1.3rem;
  }
  .pair {
    display: inline-flex;
    gap: 0.6rem;
  }
  .what {
    align-self: center;
    color: var(--quiet);
  }
  @media (max-width: 30rem) {
    .vehicle-bar {
      padding-left: 0;
    }
    .which {
      min-width: 0;
      position: sticky;
      left: 0;
      padding-left: 0.75rem;
      background: var(--sheet);
      z-index: 1;
    }
  }
  em {
    font-style: normal;
    font-size: 0.85rem;
    color: var(--plan);
  }
</style>
