<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import * as texts from "../../texts/inspection";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** The owner's order round the vehicle, remembered for every vehicle. */
  let { form }: { form: InspectionForm } = $props();
  const order = $derived(form.sheet!.order);
  const orders = $derived(form.sheet!.orders);
  // Places to read, in this order; the rest can be added at the end.
  const within = $derived(order.within ?? []);

  const toggle = (kind: string) =>
    form.walk({ within: within.includes(kind) ? within.filter((each) => each !== kind) : [...within, kind] });
  const first = (kind: string) => form.walk({ within: [kind, ...within.filter((each) => each !== kind)] });
</script>

<details>
  <summary>{texts.orderOfTheWheels}</summary>
  <div class="body">
    <SelectField
      label={texts.startAt}
      value={order.start}
      onchoose={(id) => form.walk({ start: id })}
      options={orders.corners}
    />
    <SelectField
      label={texts.go}
      value={order.direction}
      onchoose={(id) => form.walk({ direction: id })}
      options={orders.directions}
    />
    <SelectField
      label={texts.firstAtEachWheel}
      value={within[0]}
      onchoose={(id) => first(id)}
      options={orders.positions.filter((kind) => within.includes(kind.id))}
    />
    <fieldset>
      <legend>{texts.readAtEachWheel}</legend>
      {#each orders.positions.filter((kind) => kind.id !== "shoe") as kind (kind.id)}
        <CheckField
          label={kind.label}
          checked={within.includes(kind.id)}
          disabled={within.length === 1 && within.includes(kind.id)}
          oncheck={() => void toggle(kind.id)}
        />
      {/each}
    </fieldset>
  </div>
</details>

<style>
  .body {
    display: grid;
    gap: 0.75rem;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.5rem;
  }
  legend {
    font-size: 0.875rem;
    color: var(--quiet);
  }
</style>
