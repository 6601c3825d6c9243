<script lang="ts">
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { thickness, wearFigure, lengthUnit, errorOf } from "../../format/lengths";
  import { partAt, perUnit, position as named, rough, span, upperFirst } from "../../format/words";

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
            <th scope="row">{upperFirst(named(component.position))} {partAt(component.part, component.position)}</th>
            <td class="number"
              >{thickness(component.now_mm, component.part, { sd: component.sd_mm })}
              <span class="quiet">{errorOf(component.sd_mm, component.part)}</span></td
            >
            <td
              >{wearFigure(component.rate.p50 * per, component.part)}&nbsp;{lengthUnit(component.part)}
              <span class="quiet"
                >{say(texts.rateRange, {
                  value: wearFigure(component.rate.p10 * per, component.part),
                  value2: wearFigure(component.rate.p90 * per, component.part),
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
