<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/workshop";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";

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
            ><th><span class="unseen">{texts.whatToDo}</span></th></tr
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
                <TextField
                  label={say(texts.onTheShelfName, { name: row.supply.name })}
                  unseen
                  inputmode="decimal"
                  width="unit"
                  value={row.supply.on_shelf ?? ""}
                  fault={changed === row.supply.id ? form.first : ""}
                  onchange={(event) => act(row.supply, { on_shelf: event.currentTarget.value || null })}
                >
                  {#snippet beside()}{row.unit}{/snippet}
                </TextField>
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
