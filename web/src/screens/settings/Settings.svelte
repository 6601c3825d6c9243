<script lang="ts">
  import RadioGroup from "../../parts/controls/RadioGroup.svelte";
  import CheckField from "../../parts/controls/CheckField.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { reminders } from "../../parts/reminders.svelte";
  import * as reminderTexts from "../../texts/reminders";
  import * as access from "../../texts/access";
  import * as texts from "../../texts/settings";
  import { atDevice } from "../../parts/atDevice.svelte";
  import PersonField from "../../parts/PersonField.svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { chooseTheme, chosenTheme, THEMES } from "../../parts/theme";
  import LimitSettings from "./LimitSettings.svelte";
  import MoneySettings from "./MoneySettings.svelte";
  import WordSettings from "./WordSettings.svelte";
  import PlanningSettings from "./PlanningSettings.svelte";

  /** Settings of the household and of this device, each with its effect. */
  const loaded = new Loader<{ money: Schemas["Money"]; schedule: Schemas["ScheduleChosen"] }>();
  const load = () =>
    loaded.load(async () => {
      const [money, schedule] = await Promise.all([lazyApi.money(), lazyApi.scheduleChosen()]);
      return { money, schedule };
    });
  void load();
  let known = $state(false);
  void atDevice.load().then(() => (known = true));
  let theme = $state(chosenTheme());

  const names = { system: texts.system, light: texts.light, dark: texts.dark, contrast: texts.contrast };
  const more = [
    { href: "#/approaches", name: texts.approaches, what: texts.approachesChange },
    { href: "#/workshop", name: texts.workshop, what: texts.workshopChange },
    { href: "#/access", name: texts.access, what: texts.accessChanges },
    { href: "#/backups", name: texts.backups, what: texts.backupsChange },
    { href: "#/bin", name: texts.bin, what: texts.binChange },
    { href: "#/practice", name: texts.practice, what: texts.practiceChange },
  ];
</script>

<svelte:head><title>{texts.titleGraver}</title></svelte:head>
<div class="stack">
  <h1>{texts.title}</h1>
  {#if loaded.error}<Problem error={loaded.error} />{/if}
  <div class="pair">
    <section class="sheet">
      <h2>{texts.appearance}</h2>
      <p class="quiet">{texts.appearanceChanges}</p>
      <RadioGroup
        legend={texts.appearance}
        unseen
        options={THEMES.map((id) => ({ id, label: names[id] }))}
        chosen={theme}
        onpick={(id) => void chooseTheme((theme = id as typeof theme))}
      />
      <CheckField checked={reminders.wanted} oncheck={(on) => void reminders.want(on)} label={reminderTexts.notify} />
      <p class="quiet">{reminderTexts.whatNotifying}</p>
      <Fault text={reminders.fault} />
      {#if !atDevice.guest}
        <h2 class="next">{texts.whoIsHere}</h2>
        <p class="quiet">{access.nameHint}</p>
        {#if known}<div class="next"><PersonField /></div>{/if}
      {/if}
      <h2 class="next">{texts.vehicles}</h2>
      <p class="quiet">{texts.vehiclesChange}</p>
      <h2 class="next">{texts.elsewhere}</h2>
      <dl class="more">
        {#each more as { href, name, what } (href)}
          <dt><a {href}>{name}</a></dt>
          <dd>{what}</dd>
        {/each}
      </dl>
    </section>
    {#if loaded.value}
      <PlanningSettings schedule={loaded.value.schedule} {load} />
    {/if}
  </div>
  <WordSettings />
  <LimitSettings />
  {#if loaded.value}
    <MoneySettings money={loaded.value.money} {load} />
  {/if}
</div>

<style>
  .pair {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
    gap: 1rem;
  }
  .next {
    margin-top: 1.25rem;
  }
  .more {
    display: grid;
    grid-template-columns: minmax(7rem, 10rem) 1fr;
    gap: 0.6rem 1rem;
    margin: 0;
  }
  .more dd {
    margin: 0;
  }
  .more a {
    display: inline-block;
    padding: 0.15rem 0;
  }
</style>
