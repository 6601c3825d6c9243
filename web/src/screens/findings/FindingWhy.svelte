<script lang="ts">
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import TermText from "../../parts/TermText.svelte";
  import { percent } from "./percent";

  /** Behind one press: why, how sure, what would change it, what may stand behind it. */
  /** line: it says the whole finding in one line, as it belongs to another. */
  let { finding, line = false }: { finding: Schemas["Finding"]; line?: boolean } = $props();
  let opened = $state(false);
</script>

<details ontoggle={(event) => (opened = event.currentTarget.open)}>
  {#if line}
    <summary class="line"><strong>{finding.title}</strong> {finding.sentence}</summary>
    <p><TermText text={finding.advice} /></p>
  {:else}<summary>{texts.whyAndWhatWouldChange}</summary>{/if}
  <dl>
    <dt>{texts.read}</dt>
    <dd>{finding.reading}</dd>
    <dt>{texts.comparedWith}</dt>
    <dd>{finding.limit}</dd>
    {#if finding.confidence !== null}<dt>{texts.howSure}</dt>
      <dd>{say(texts.aChanceOfPercentGiven, { percent: percent(finding.confidence) })}</dd>{/if}
    <dt>{texts.itWouldChangeWith}</dt>
    <dd>{finding.change}</dd>
    <dt>{texts.ruleAndSource}</dt>
    <dd>{finding.rule}; {finding.source}</dd>
  </dl>
  {#if opened && finding.axle_id !== null}{#await import("./FindingPicture.svelte") then { default: FindingPicture }}<FindingPicture
        {finding}
      />{/await}{/if}
  {#if finding.causes.length}
    <h4>{texts.possibleCauses}</h4>
    <ul class="plain-list causes">
      {#each finding.causes as cause (cause.label)}
        <li>
          <span class="bar" style="--share: {cause.share}" aria-hidden="true"></span>
          <span
            ><strong>{cause.label}</strong>, {percent(cause.share)}{cause.seen.length
              ? ` (${say(texts.seen, { seen: cause.seen.join(", ") })})`
              : ""}<br /><TermText
              text={say(texts.checkCheckRemedyRemedy, { check: cause.check, remedy: cause.remedy })}
            /></span
          >
        </li>
      {/each}
    </ul>
    <p class="quiet">
      {texts.sharesComeFromHowCommon}
    </p>
  {/if}
</details>

<style>
  .line {
    color: inherit;
    font-size: 1rem;
    line-height: 1.4;
  }
  dl {
    display: grid;
    grid-template-columns: minmax(8rem, 11rem) 1fr;
    gap: 0.2rem 1rem;
    margin: 0;
  }
  dt {
    color: var(--quiet);
  }
  dd {
    margin: 0;
  }
  h4 {
    font-size: 1rem;
    margin: 0.5rem 0 0.25rem;
  }
  .causes {
    display: grid;
    gap: 0.5rem;
  }
  .causes li {
    display: grid;
    grid-template-columns: 5rem 1fr;
    gap: 0.75rem;
    align-items: start;
  }
  .bar {
    height: 0.8rem;
    margin-top: 0.3rem;
    border: 1px solid var(--doubt);
    background: linear-gradient(to right, var(--doubt) calc(var(--share) * 100%), transparent 0);
  }
  @media (max-width: 46rem) {
    dl {
      grid-template-columns: 1fr;
    }
    dd {
      margin-bottom: 0.35rem;
    }
  }
</style>
