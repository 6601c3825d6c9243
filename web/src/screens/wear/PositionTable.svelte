<script lang="ts">
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { mm, partName, perUnit, position as named, rough, span, upperFirst } from "../../format/words";

  /** Each pad and rotor: its thickness today, its pace, and how far it is from its limit. */
  let { components, unit }: { components: Schemas["Wear"]["components"]; unit: Schemas["DistanceUnit"] } = $props();
</script>

<section class="sheet">
  <h2>{texts.eachPosition}</h2>
  <div class="scroll">
    <table>
      <thead
        ><tr
          ><th>{texts.position}</th><th>{texts.estimatedToday}</th><th>{say(texts.wearsPerDistance, { unit })}</th><th
            >{texts.toItsLimitRange}</th
          ><th>{texts.mostLikely}</th></tr
        ></thead
      >
      <tbody>
        {#each components as component (component.part + component.position)}
          {@const per = perUnit(1, unit)}
          <tr>
            <th scope="row">{upperFirst(named(component.position))} {partName(component.part)}</th>
            <td class="number"
              >{say(texts.mmMm, { mm: mm(component.now_mm, component.sd_mm) })}
              <span class="quiet">± {(2 * component.sd_mm).toFixed(component.sd_mm < 0.05 ? 2 : 1)}</span></td
            >
            <td
              >{say(texts.valueMm, {
                value: (component.rate.p50 * per).toFixed(component.part === "pad" ? 2 : 3),
              })}
              <span class="quiet"
                >{say(texts.rateRange, {
                  value: (component.rate.p10 * per).toFixed(component.part === "pad" ? 2 : 3),
                  value2: (component.rate.p90 * per).toFixed(component.part === "pad" ? 2 : 3),
                })}</span
              ></td
            >
            <td>{component.life ? span(component.life.distance_km, unit) : "?"}</td>
            <td>{component.life ? rough(component.life.distance_km.p50, unit) : "?"}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
