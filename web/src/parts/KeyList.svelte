<script lang="ts">
  import { Modal } from "carbon-components-svelte";

  /** Every key, what it does and where. */
  let { open = $bindable() }: { open: boolean } = $props();
  const keys: [string, string][] = [
    ["?", "show these keys"],
    ["a", "garage: add a vehicle"],
    ["1 to 9", "garage: open a vehicle"],
    ["l", "vehicle: look-over of all wheels"],
    ["v", "vehicle: findings (verdicts)"],
    ["f w j b", "vehicle: look-over, wear, job, brake data of the front axle"],
    ["F W J B", "vehicle: the same of the rear axle"],
    ["y p t s", "job: ready?, parts, torque, steps"],
    ["Enter", "walk-round: take the reading and go on"],
    ["Shift + Tab", "walk-round: back"],
    [
      "c v m l g e d %",
      "walk-round: digital caliper, vernier, micrometer, rule, gauge, by eye, dial gauge, share left",
    ],
    ["q w x", "walk-round: squealer touches, wear light is on, metal to metal"],
    ["u i p", "walk-round: next unit, next tool, with or without backing plate"],
    [
      "a k b",
      "walk-round, at a question: what is suggested (measured again, new pads went on…), save it marked doubtful, the earlier reading was wrong",
    ],
    ["Ctrl + Z", "walk-round: undo what a letter did"],
    ["+", "walk-round: another place on the same part"],
    ["n r", "walk-round: new pads, new rotors went on, yes or no"],
    ["o", "walk-round: the rest of this wheel is in order"],
    ["z", "walk-round: have the gauge send its value"],
  ];
</script>

<Modal bind:open passiveModal modalHeading="Keys">
  <dl>
    {#each keys as [key, meaning] (key)}
      <dt><kbd>{key}</kbd></dt>
      <dd>{meaning}</dd>
    {/each}
  </dl>
  <p class="note">In the walk-round, letters are keys only while the field is empty.</p>
</Modal>

<style>
  dl {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: 0.5rem;
  }
  .note {
    margin-top: 0.75rem;
  }
</style>
