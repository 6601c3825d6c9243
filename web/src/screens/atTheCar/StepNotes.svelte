<script lang="ts">
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { day } from "../../format/words";
  import type { StepGroup } from "../../format/jobs";

  /** Why the step is done, and what was noted at it, now and last time. */
  let { stepGroup }: { stepGroup: StepGroup } = $props();
</script>

{#each stepGroup.steps.filter((step) => step.why) as step (step.key)}<p class="why">{step.why}</p>{/each}
{#each stepGroup.steps.flatMap((step) => step.last_time) as note (note.day + note.text)}<p class="note">
    <strong>{say(texts.lastTimeDay, { day: day(note.day) })}</strong>
    {note.text}
  </p>{/each}
{#each stepGroup.steps.flatMap((step) => step.notes) as note (note.text)}<p class="note">
    <strong>{note.done_by ? say(texts.noteBy, { person: note.done_by }) : texts.yourNote}</strong>
    {note.text}
  </p>{/each}
{#each stepGroup.steps.filter((step) => step.deviation) as step (step.key)}<p class="note">
    <strong>{texts.doneDifferently}</strong>
    {step.deviation}
  </p>{/each}

<style>
  p {
    margin: 0;
  }
  .why,
  .note {
    font-size: 1.0625rem;
    color: var(--quiet);
  }
  .note {
    border-left: 6px double var(--line);
    padding-left: 0.6rem;
    color: var(--ink);
  }
</style>
