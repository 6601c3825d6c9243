<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/settings";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import { FormState } from "../../parts/formState.svelte";

  let { money, load }: { money: Schemas["Money"]; load: () => Promise<void> } = $props();
  const FIELDS = [
    ["currency", texts.currency],
    ["labour_rate", texts.labourRate],
    ["markup_percent", texts.markup],
    ["tax_percent", texts.tax],
    ["own_rate", texts.ownRate],
  ] as const;
  const form = new FormState();
  let typed = $state<Schemas["MoneyChange"]>({});
  let saved = $state(false);
  const changed = $derived(FIELDS.some(([id]) => typed[id] !== undefined && typed[id] !== money[id]));

  /** Saves what was changed, when a field is left. */
  async function save() {
    saved = false;
    if (!changed) return;
    const wanted = Object.fromEntries(Object.entries(typed).map(([id, value]) => [id, value.trim()]));
    const before = Object.fromEntries(FIELDS.filter(([id]) => id in wanted).map(([id]) => [id, money[id]]));
    if (!(await form.act(() => lazyApi.chooseMoney(wanted, money.revision)))) return;
    await load();
    [typed, saved] = [{}, true];
    const seen = money.revision;
    undo.offer(undos.moneySettingsChanged, async () => {
      await lazyApi.chooseMoney(before, seen);
      await load();
      saved = false;
    });
  }
</script>

<form class="sheet" onsubmit={(event) => event.preventDefault()} novalidate>
  <h2>{texts.money}</h2>
  <p class="quiet">{texts.moneyChanges}</p>
  <div class="list">
    {#each FIELDS as [id, label] (id)}
      <TextField
        {id}
        {label}
        inputmode={id === "currency" ? "text" : "decimal"}
        maxlength={8}
        value={typed[id] ?? money[id]}
        oninput={(event) => ((typed[id] = event.currentTarget.value), (saved = false))}
        onchange={save}
        fault={form.fault(id)}
      />
    {/each}
  </div>
  <p role="status">{saved ? texts.saved : ""}</p>
</form>

<style>
  .list {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
    gap: 0.75rem 1rem;
    align-items: end;
    margin: 0.75rem 0;
  }
  p[role="status"] {
    min-height: 1.5em;
    margin: 0;
  }
</style>
