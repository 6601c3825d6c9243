<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";

  /** The fluid that comes back, what the job needs of it, and the order of bleeding. */
  let { fluid }: { fluid: Schemas["JobFluid"] } = $props();
  const others = $derived(fluid.may.filter((grade) => grade !== fluid.grade));
</script>

<section class="sheet">
  <h2>{texts.fluid}</h2>
  {#if fluid.pushed_ml !== null}
    <p class="number figure">
      {say(common.pushedMlMl, { pushedMl: fluid.pushed_ml })} <small>{texts.comesBackAsThePistons}</small>
    </p>
    {#if fluid.headroom_ml !== null}
      <p>
        {say(texts.roomAboveTheLevel, { headroomMl: fluid.headroom_ml })}
        {fluid.draw_off_ml
          ? say(texts.drawOffDrawOffMlMlFirst, { drawOffMl: fluid.draw_off_ml })
          : texts.roomForTheFluid}
      </p>
    {:else}<p>
        {texts.whetherItOverflowsCannotBe}
      </p>{/if}
  {:else}<p>
      {texts.pushedBackUnknown}
    </p>{/if}
  <p>
    {say(texts.fluidNeeded, {
      what: fluid.bleeds ? texts.forBleedingAndFlushing : texts.forToppingUp,
      neededMl: fluid.needed_ml,
      bottlesMl: fluid.bottles_ml.join(" + "),
      grade: fluid.grade ?? texts.gradeUnknown,
    })}{#if others.length}{" "}{say(texts.otherGrades, {
        others: others.join(", "),
      })}{/if}{#if fluid.never.length}{" "}<strong>{say(texts.neverNever, { never: fluid.never.join(", ") })}</strong
      >{/if}
  </p>
  {#if fluid.bleeds}
    <h3 class="next">{texts.orderOfBleeding}</h3>
    <ol class="order">
      {#each fluid.order as place (place)}<li>{upperFirst(place)}</li>{/each}
    </ol>
    {#if fluid.order_from}<p class="quiet">{fluid.order_from}</p>{/if}
    <h3 class="next">{texts.how}</h3>
    <ul class="order">
      {#each fluid.methods as method (method.label)}<li>
          {method.label}{#if method.owned}: <strong>{texts.youHaveTheTool}</strong>{/if}
        </li>{/each}
    </ul>
  {/if}
</section>

<style>
  .figure {
    font-size: 2rem;
    line-height: 1.15;
  }
  .figure small {
    font-size: 1.05rem;
  }
  .next {
    margin-top: 1rem;
  }
  .order {
    margin: 0;
    padding-left: 1.4rem;
    list-style: revert;
  }
</style>
