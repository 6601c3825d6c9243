<script lang="ts">
  import * as texts from "../../texts/settings";
  import { beside } from "../../api/beside";
  import { api, type Schemas } from "../../api/client";
  import Approaches from "../../parts/Approaches.svelte";
  import Fault from "../../parts/Fault.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import { Loader } from "../../parts/loader.svelte";

  /** When pads and rotors are done in this household, and whose inspection counts; the other approaches have a page. */
  const JUDGING = ["pads", "inspection", "rotors"];
  const loaded = new Loader<Schemas["Schools"]>();
  const load = () => loaded.load(beside.schools);
  void load();
  const form = new FormState();
  const judging = $derived(JUDGING.flatMap((id) => loaded.value?.schools.filter((school) => school.id === id) ?? []));
  const choose = (id: string, option: string | null) =>
    form.act(async () => {
      await api.chooseSchools({ [id]: option! }, loaded.value!.revision);
      await load();
    });
</script>

<section class="sheet">
  <h2>{texts.limits}</h2>
  <p class="quiet">{texts.limitsChange}</p>
  {#if loaded.error}<Problem error={loaded.error} />{/if}
  <Fault text={form.refused?.message ?? ""} />
  {#if judging.length}<Approaches schools={judging} disabled={form.busy} onchoose={choose} />{/if}
</section>
