<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import type { StepGroup } from "../../format/jobs";
  import type { Course } from "./jobWalkthrough.svelte";

  /** Asked when bolts are left unmarked: did they all click, or were they tightened by feel, and why? */
  let { course, stepGroup, done }: { course: Course; stepGroup: StepGroup; done: () => Promise<void> } = $props();
  let because = $state("");
  async function allByFeel(event: SubmitEvent) {
    event.preventDefault();
    for (const [bolts, missing] of course.loose(stepGroup)) if (!(await bolts.felt(missing, because))) return;
    because = "";
    await done();
  }
  async function allClicked() {
    for (const [bolts, missing] of course.loose(stepGroup)) if (!(await bolts.clicked(missing))) return;
    await done();
  }
</script>

<div class="halt" role="alert">
  {#each course.loose(stepGroup) as [bolts, missing] (bolts)}<p>
      {say(texts.notMarked, {
        missing: missing.length,
        all: bolts.numbers.length,
        label: bolts.line.label.toLowerCase(),
      })}
    </p>{/each}
  <PlainButton onclick={allClicked}
    >{course.loose(stepGroup).some(([bolts]) => bolts.line.angle_degrees)
      ? texts.allClickedAndTurned
      : texts.allOfThemClicked}</PlainButton
  >
  <form class="row" onsubmit={allByFeel} novalidate>
    <TextField label={texts.byFeelBecause} width="long" maxlength={500} bind:value={because} />
    <PlainButton type="submit" disabled={!because.trim()}>{texts.allByFeel}</PlainButton>
  </form>
</div>

<style>
  .halt {
    border: 4px solid var(--stop);
    padding: 0.5rem 0.75rem;
    font-size: 1.125rem;
    margin: 0 0 1rem;
  }
</style>
