<script lang="ts">
  import { undo } from "./undo.svelte";
  import * as undos from "../texts/undo";
  import { beside } from "../api/beside";
  import { api, type Schemas } from "../api/client";
  import Approaches from "./Approaches.svelte";
  import Fault from "./Fault.svelte";
  import Problem from "./Problem.svelte";
  import { FormState } from "./formState.svelte";
  import { Loader } from "./loader.svelte";

  /** Approaches of the whole household, changed in place. only: those by id, in this order; else all. */
  let { only, reasons = false }: { only?: string[]; reasons?: boolean } = $props();
  const loaded = new Loader<Schemas["Schools"]>();
  const load = () => loaded.load(beside.schools);
  void load();
  const form = new FormState();
  const all = $derived(loaded.value?.schools ?? []);
  const schools = $derived(only ? only.flatMap((id) => all.filter((school) => school.id === id)) : all);
  const choose = (id: string, option: string | null) =>
    form.act(async () => {
      const before = all.find((school) => school.id === id)!.chosen;
      await api.chooseSchools({ [id]: option! }, loaded.value!.revision);
      await load();
      const seen = loaded.value!.revision;
      undo.offer(undos.approachChanged, async () => {
        await api.chooseSchools({ [id]: before }, seen);
        await load();
      });
    });
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
<Fault text={form.refused?.message ?? ""} />
{#if schools.length}<Approaches {schools} disabled={form.busy} {reasons} onchoose={choose} />{/if}
