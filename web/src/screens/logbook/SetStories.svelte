<script lang="ts">
  import * as texts from "../../texts/sets";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import { Loader } from "../../parts/loader.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { lengthUnit, thickness, wearFigure } from "../../format/lengths";
  import { day, partName, perUnit, rough, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";

  /** How long each set lasted, what of it went first, and what may be why. vehicle: only of this one. */
  let { vehicle }: { vehicle?: string } = $props();
  type Set = Schemas["LogbookSet"];
  const loaded = new Loader<Schemas["LogbookSets"]>();
  $effect(() => void loaded.load(() => lazyApi.logbookSets(vehicle ?? "")));

  const title = (set: Set) =>
    upperFirst(
      say(texts.title, { vehicle: vehicle ? "" : `${set.vehicle}, `, axle: set.axle, parts: partName(set.part, true) }),
    );
  const lasted = (set: Set) =>
    say(set.now ? (set.known ? texts.onSince : texts.onSeen) : set.known ? texts.lasted : texts.seen, {
      km: rough(set.km, set.distance_unit as Schemas["DistanceUnit"]),
      from: set.from ? day(set.from) : "?",
      upto: set.upto ? day(set.upto) : "?",
    });
  function first(set: Set): string {
    if (!set.first || set.left_mm === null || set.left_mm === undefined) return texts.neverRead;
    const left = thickness(set.left_mm, set.part_of_length);
    const thinnest = set.new_mm
      ? say(texts.firstOf, { position: set.first, left, fresh: thickness(set.new_mm, set.part_of_length) })
      : say(texts.first, { position: set.first, left });
    return upperFirst(thinnest);
  }
  function pace(set: Set): string {
    if (!set.pace) return "";
    const unit = set.distance_unit as Schemas["DistanceUnit"];
    return say(texts.pace, {
      pace: `${wearFigure(perUnit(set.pace, unit), set.part_of_length)}\u00a0${lengthUnit(set.part_of_length)}`,
      unit,
    });
  }
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {#if loaded.value.sets.length}
    <ul class="plain-list">
      {#each loaded.value.sets as set, at (at)}
        <li class:on={set.now}>
          <h3>{title(set)}</h3>
          <p class="number">{lasted(set)}</p>
          <p>
            {first(set)}
            {pace(set)}
            {#if set.stands_out}<strong>{say(texts.uneven, { times: set.uneven!.toFixed(1) })}</strong>{/if}
          </p>
          {#if set.seen.length}
            <p>
              {set.stands_out ? texts.maybeBecause : texts.seenThere}
              {set.seen.map(({ what, mark, day: on }) => say(texts.seenOne, { what, mark, day: day(on) })).join("; ")}.
            </p>
          {/if}
        </li>
      {/each}
    </ul>
  {:else}<p>{texts.none}</p>{/if}
{:else if loaded.loading}<Skeleton />{/if}

<style>
  li {
    border-left: 4px solid var(--line);
    padding: 0.25rem 0 0.25rem 0.9rem;
    margin-bottom: 0.9rem;
    max-width: 60rem;
  }
  li.on {
    border-left-color: var(--petrol);
  }
  h3,
  p {
    margin: 0;
  }
</style>
