<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { day, exact, partMm, upperFirst } from "../../format/words";

  /** Every position against its previous reading. */
  let { changes, unit }: { changes: Schemas["Findings"]["changes"]; unit: Schemas["DistanceUnit"] } = $props();
  const since = (change: Schemas["ReadingChange"]) => change.now_mm - change.before_mm;
</script>

<section class="sheet">
  <h2>{texts.comparedWithThePrevious}</h2>
  <div class="scroll">
    <table>
      <thead
        ><tr
          ><th>{common.where}</th><th>{texts.before}</th><th>{common.nowLabel}</th><th>{texts.worn}</th><th
            >{texts.over}</th
          ></tr
        ></thead
      >
      <tbody>
        {#each changes as change (change.axle + change.position + change.part)}
          <tr
            ><td>{upperFirst(change.axle)} {change.position} {change.part}</td><td
              >{say(texts.readingWithDay, {
                partMm: partMm(change.before_mm, change.part),
                day: day(change.before_on),
              })}</td
            ><td
              >{say(texts.readingWithDay, {
                partMm: partMm(change.now_mm, change.part),
                day: day(change.now_on),
              })}</td
            ><td>{say(texts.readingMm, { partMm: partMm(-since(change), change.part) })}</td><td
              >{exact(change.km, unit)}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </div>
</section>
