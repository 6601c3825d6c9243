<script lang="ts">
  import type { Schemas } from "../../api/client";
  import * as texts from "../../texts/atTheCar";
  import { figure, readings } from "../../format/jobs";
  import { say } from "../../texts/say";

  /** A torque to be read at arm's length: how many, of which size, which wrench at what. */
  let { line }: { line: Schemas["TorqueBrief"] } = $props();
  const [first, second] = $derived(readings(line));
</script>

<div class="torque" class:unknown={line.newton_metres === null}>
  <p class="what">
    {line.count === null ? line.label : `${line.count} × ${line.label.toLowerCase()}`}{line.drive
      ? `, ${line.drive}`
      : ""}
  </p>
  {#if line.newton_metres === null}
    <p class="figure">{texts.noValueOnFile}</p>
  {:else}
    <p class="figure number">
      {figure(first![0])} <small>{first![1]}</small>{#if line.angle_degrees}<span class="angle"
          >+ {figure(line.angle_degrees)}°</span
        >{/if}
    </p>
    <p class="number second">{figure(second![0])} {second![1]}</p>
  {/if}
  {#if line.wrench}<p class="quiet">
      {line.wrench.wrench
        ? say(texts.wrenchAtSetting, {
            wrench: line.wrench.wrench,
            setting: figure(line.wrench.setting),
            unit: line.wrench.unit ?? "",
          })
        : line.wrench.sentence}
    </p>{/if}
  {#if line.star}<p>{say(texts.inThisOrder, { star: line.star.join(" – ") })}</p>{/if}
  {#each line.said as said (said)}<p class="quiet">{said}</p>{/each}
</div>

<style>
  .torque {
    border: 3px solid var(--ink);
    padding: 0.5rem 0.75rem;
  }
  .unknown {
    border-style: dashed;
  }
  p {
    margin: 0;
  }
  .what {
    font-weight: 600;
  }
  .figure {
    font-size: 3.25rem;
    line-height: 1.05;
    font-weight: 700;
  }
  .unknown .figure {
    font-size: 1.5rem;
  }
  .figure small {
    font-size: 1.5rem;
  }
  .angle {
    margin-left: 0.5rem;
  }
  .second {
    font-size: 1.35rem;
  }
</style>
