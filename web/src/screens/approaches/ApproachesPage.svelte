<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/approaches";
  import { beside } from "../../api/beside";
  import { api, type Schemas } from "../../api/client";
  import Approaches from "../../parts/Approaches.svelte";
  import Fault from "../../parts/Fault.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import { Loader } from "../../parts/loader.svelte";

  /** Every question practitioners answer differently, and what this household does. */
  const loaded = new Loader<Schemas["Schools"]>();
  const load = () => loaded.load(beside.schools);
  load();
  const form = new FormState();
  const choose = (id: string, option: string | null) =>
    form.act(async () => {
      await api.chooseSchools({ [id]: option! }, loaded.value!.revision);
      await load();
    });
</script>

<svelte:head><title>{texts.approachesGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  <div class="stack">
    <h1>{common.approaches}</h1>
    <p class="quiet">{texts.whatTheyAre}</p>
    <Fault text={form.refused?.message ?? ""} />
    <section class="sheet">
      <Approaches schools={loaded.value.schools} disabled={form.busy} reasons onchoose={choose} />
    </section>
  </div>
{/if}
