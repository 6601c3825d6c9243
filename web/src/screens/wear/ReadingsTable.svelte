<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { lengthFigure, lengthUnit } from "../../format/lengths";
  import { day, grouped, inUnit, partAt, position as named, upperFirst } from "../../format/words";

  /** The readings of the chart as a table, the newest first. */
  let { wear, positions }: { wear: Schemas["Wear"]; positions: string[] } = $props();
  const unit = $derived(wear.axle_name.distance_unit);
  const shown = $derived(wear.readings.filter((reading) => positions.includes(reading.position)).reverse());
  const inDecimals = (part: string) => ({ digits: part === "rotor" ? 2 : 1 });
</script>

<details>
  <summary>{texts.asATable}</summary>
  <div class="scroll">
    <table>
      <thead
        ><tr
          ><th>{texts.date}</th><th>{common.odometer}</th><th>{texts.position}</th><th>{texts.asEntered}</th><th
            >{texts.thickness}</th
          ></tr
        ></thead
      >
      <tbody>
        {#each shown as reading, at (at)}
          <tr>
            <td>{day(reading.date)}</td>
            <td class="number">{grouped(inUnit(reading.odometer_km, unit))} {unit}</td>
            <td>{upperFirst(named(reading.position))} {partAt(reading.part, reading.position)}</td>
            <td
              >{reading.entered} ({reading.method}){#if reading.doubted || reading.kept}{" "}<strong class="doubt"
                  >{texts.doubted}</strong
                >{/if}</td
            >
            <td class="number"
              >{say(texts.band, {
                low: lengthFigure(reading.low_mm, reading.part, inDecimals(reading.part)),
                high: `${lengthFigure(reading.high_mm, reading.part, inDecimals(reading.part))}\u00a0${lengthUnit(reading.part)}`,
              })}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</details>

<style>
  details {
    margin: 0.5rem 0;
  }
</style>
