<script lang="ts">
  import { undo } from "./undo.svelte";
  import * as undos from "../texts/undo";
  import { lazyApi } from "../api/lazyApi";
  import { api, type Schemas } from "../api/client";
  import Approaches from "./Approaches.svelte";
  import Fault from "./Fault.svelte";
  import Problem from "./Problem.svelte";
  import { FormState } from "./formState.svelte";
  import { Loader } from "./loader.svelte";

  /** Approaches of the whole household, changed in place. only: those by id, in this order; else all. */
  let { only, reasons = false }: { only?: string[]; reasons?: boolean } = $props();
  const loaded = new Loader<Schemas["Approaches"]>();
  const load = () => loaded.load(lazyApi.approaches);
  void load();
  const form = new FormState();
  const all = $derived(loaded.value?.approaches ?? []);
  const approaches = $derived(only ? only.flatMap((id) => all.filter((approach) => approach.id === id)) : all);
  const choose = (id: string, option: string | null) =>
    form.act(async () => {
      const before = all.find((approach) => approach.id === id)!.chosen;
      await api.chooseApproaches({ [id]: option! }, loaded.value!.revision);
      await load();
      const seen = loaded.value!.revision;
      undo.offer(undos.approachChanged, async () => {
        await api.chooseApproaches({ [id]: before }, seen);
        await load();
      });
    });
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
<Fault text={form.refused?.message ?? ""} />
{#if approaches.length}<Approaches {approaches} disabled={form.busy} {reasons} onchoose={choose} />{/if}
