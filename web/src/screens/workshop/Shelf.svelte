<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/workshop";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import Fault from "../../parts/Fault.svelte";

  /** Supplies on the shelf and their prices: counted down when a job is finished. */
  let { shelf, onchange }: { shelf: Schemas["Shelf"]; onchange: () => void } = $props();
  const form = new FormState();
  let changed = $state<number | null>(null);

  async function act(supply: Schemas["Supply"], change: Schemas["SupplyChange"]) {
    changed = supply.id;
    if (!(await form.act(() => api.changeSupply(supply.id, change, supply.revision)))) return;
    onchange();
    if (change.retired)
      undo.offer(say(undos.nameArchived, { name: supply.name }), async () => {
        await api.changeSupply(supply.id, { retired: false });
        onchange();
      });
  }
</script>

<section class="sheet">
  <h2>{texts.shelfAndSources} <span class="quiet">{texts.enteredInAJobsParts}</span></h2>
  {#if shelf.rows.length}
    <div class="scroll">
      <table>
        <thead
          ><tr
            ><th>{common.what}</th><th>{texts.forWhat}</th><th>{common.from}</th><th>{texts.priceEach}</th><th
              >{common.onTheShelf}</th
            ><th><span class="sr">{texts.whatToDo}</span></th></tr
          ></thead
        >
        <tbody>
          {#each shelf.rows as row (row.supply.id)}
            <tr>
              <th scope="row">{row.supply.name}{row.supply.number ? `, ${row.supply.number}` : ""}</th>
              <td>{upperFirst(row.what)}{row.place ? `, ${row.place}` : ""}</td>
              <td>{row.supply.supplier ?? ""}</td>
              <td>{row.supply.price ? `${shelf.currency} ${row.supply.price}` : "?"}</td>
              <td>
                <input
                  aria-label={say(texts.onTheShelfName, { name: row.supply.name })}
                  inputmode="decimal"
                  value={row.supply.on_shelf ?? ""}
                  aria-invalid={changed === row.supply.id && !!form.refused}
                  onchange={(event) => act(row.supply, { on_shelf: event.currentTarget.value || null })}
                />
                {row.unit}
                {#if changed === row.supply.id}<Fault text={form.first} />{/if}
              </td>
              <td
                ><Button size="small" kind="ghost" on:click={() => act(row.supply, { retired: true })}
                  >{texts.archive}</Button
                ></td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <p class="quiet">
      {texts.nothingYetWhatYouEnter}
    </p>
  {/if}
</section>

<style>
  input {
    font: inherit;
    width: 5rem;
    min-height: 40px;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.4rem;
    box-sizing: border-box;
  }
  input[aria-invalid="true"] {
    border-color: var(--stop);
  }
  .sr {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
</style>
