<script lang="ts">
  import * as texts from "../../texts/inspection";
  import { Checkbox, Select, SelectItem } from "carbon-components-svelte";
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
    <Select
      labelText={texts.startAt}
      selected={order.start}
      on:change={(event) => form.walk({ start: (event.target as HTMLSelectElement).value })}
    >
      {#each orders.corners as corner (corner.id)}<SelectItem value={corner.id} text={corner.label} />{/each}
    </Select>
    <Select
      labelText={texts.go}
      selected={order.direction}
      on:change={(event) => form.walk({ direction: (event.target as HTMLSelectElement).value })}
    >
      {#each orders.directions as direction (direction.id)}<SelectItem
          value={direction.id}
          text={direction.label}
        />{/each}
    </Select>
    <Select
      labelText={texts.firstAtEachWheel}
      selected={within[0]}
      on:change={(event) => first((event.target as HTMLSelectElement).value)}
    >
      {#each orders.positions.filter((kind) => within.includes(kind.id)) as kind (kind.id)}<SelectItem
          value={kind.id}
          text={kind.label}
        />{/each}
    </Select>
    <fieldset>
      <legend>{texts.readAtEachWheel}</legend>
      {#each orders.positions.filter((kind) => kind.id !== "shoe") as kind (kind.id)}
        <Checkbox
          labelText={kind.label}
          checked={within.includes(kind.id)}
          disabled={within.length === 1 && within.includes(kind.id)}
          on:change={() => toggle(kind.id)}
        />
      {/each}
    </fieldset>
  </div>
</details>

<style>
  summary {
    cursor: pointer;
    min-height: 48px;
    display: flex;
    align-items: center;
    color: var(--petrol);
  }
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
