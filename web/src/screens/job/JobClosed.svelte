<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { amount } from "../../format/jobs";
  import { thickness } from "../../format/lengths";
  import { day, exact, listed, partName } from "../../format/words";

  /** What a finished job took and used, and how long the old parts lasted. */
  const named = (people: string[]) => new Intl.ListFormat("en-GB").format(people);
  let { plan, closed }: { plan: Schemas["JobPlan"]; closed: NonNullable<Schemas["JobPlan"]["closed"]> } = $props();
</script>

<section class="sheet">
  <p>
    {listed(
      say(texts.finishedOn, { day: day(closed.day) }),
      closed.hours && say(texts.afterHours, { hours: closed.hours }),
      closed.spent && say(texts.spentSaid, { currency: plan.money.currency, amount: amount(closed.spent) }),
    )}.{#if closed.parts.length}{" "}{say(texts.usedParts, {
        parts: closed.parts.join("; "),
      })}{/if}{#if plan.people.length}{" "}{say(texts.doneByPeople, {
        people: named(plan.people),
      })}{/if}{#if closed.inspection}{" "}<a href="#/inspections/{closed.inspection}">{texts.inTheLogbook}</a>{/if}
  </p>
  {#each closed.sets as set (set.axle + set.part)}
    <p>
      {say(texts.oldPart, {
        axle: set.axle,
        part: partName(set.part),
        said: listed(
          set.life_km === null
            ? texts.fittingDateUnknown
            : say(texts.lastedExact, { exact: exact(set.life_km, plan.vehicle.distance_unit) }),
          set.last_mm !== null &&
            set.last_on &&
            say(texts.thinnestOnDay, { read: thickness(set.last_mm, set.part), day: day(set.last_on) }),
        ),
      })}
    </p>
  {/each}
</section>
