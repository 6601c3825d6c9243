<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { thickness } from "../../format/lengths";
  import { day, exact, partAt, upperFirst } from "../../format/words";

  /** Every position against its previous reading. */
  let { changes, unit }: { changes: Schemas["Findings"]["changes"]; unit: Schemas["DistanceUnit"] } = $props();
  const since = (change: Schemas["ReadingChange"]) => change.now_mm - change.before_mm;
</script>

<details class="sheet matter">
  <summary>{texts.comparedWithThePrevious}</summary>
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
            ><td>{upperFirst(change.axle)} {change.position} {partAt(change.part, change.position)}</td><td
              >{say(texts.readingWithDay, {
                read: thickness(change.before_mm, change.part),
                day: day(change.before_on),
              })}</td
            ><td
              >{say(texts.readingWithDay, {
                read: thickness(change.now_mm, change.part),
                day: day(change.now_on),
              })}</td
            ><td>{thickness(-since(change), change.part, { digits: change.part === "rotor" ? 2 : 1 })}</td><td
              >{exact(change.km, unit)}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </div>
</details>
