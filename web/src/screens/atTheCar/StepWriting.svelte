<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/atTheCar";
  import type { StepGroup } from "../../format/jobs";
  import type { Course } from "./jobWalkthrough.svelte";

  /** A note for next time, or what was done instead of the step. */
  let { course, stepGroup }: { course: Course; stepGroup: StepGroup } = $props();
  const job = $derived(course.job);
  // Only a single step may be answered for, and never a safety-critical one.
  const mayDeviate = $derived(
    stepGroup.steps.length === 1 &&
      !stepGroup.steps[0]!.safety_critical &&
      !course.done(stepGroup) &&
      job.plan!.state === "in_progress",
  );
  let writing = $state<"note" | "deviation" | null>(null);
  let text = $state("");

  async function write(event: SubmitEvent) {
    event.preventDefault();
    const key = stepGroup.steps[0]!.key;
    const kept = await (writing === "note" ? job.note(key, text) : job.deviate(key, text));
    if (kept) [writing, text] = [null, ""];
  }
</script>

{#if writing}
  <form class="writing" onsubmit={write} novalidate>
    <TextField
      label={writing === "note" ? texts.noteForNextTime : texts.whatYouDidInstead}
      first
      maxlength={500}
      bind:value={text}
    />
    <div class="row">
      <PlainButton type="submit" disabled={!text.trim()}>{common.save}</PlainButton>
      <PlainButton onclick={() => (writing = null)}>{common.cancel}</PlainButton>
    </div>
  </form>
{:else}
  <div class="row acts">
    <PlainButton look="link" onclick={() => (writing = "note")}>{texts.noteForNextTime}</PlainButton>
    {#if mayDeviate}
      <PlainButton look="link" onclick={() => (writing = "deviation")}>{texts.iDidItAnotherWay}</PlainButton>
    {/if}
  </div>
{/if}

<style>
  .writing {
    display: grid;
    gap: 0.5rem;
  }
  .acts {
    gap: 0 1.5rem;
  }
</style>
