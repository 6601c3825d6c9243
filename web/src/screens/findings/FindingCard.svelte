<script lang="ts">
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { day, lowerFirst } from "../../format/words";
  import Choose from "../../parts/Choose.svelte";
  import StateMark from "../../parts/StateMark.svelte";

  /** One finding: what it is, what to do, and behind one press why, how sure, and what would change it. */
  interface Props {
    finding: Schemas["Finding"];
    state: Schemas["State"];
    /** What stood behind it: one of its causes, by id, or "none". */
    onanswer: (cause: string) => Promise<unknown>;
  }
  let { finding, state: severity, onanswer }: Props = $props();
  let cause = $state("");
  const answers = $derived([
    { id: "", label: texts.notLookedYet },
    ...finding.causes,
    { id: "none", label: texts.noCauseFound },
  ]);
  const likeliest = $derived(finding.causes[0]);
  const percent = (share: number) =>
    share < 0.01 ? texts.under1 : share > 0.99 ? texts.over99 : `${Math.round(share * 100)} %`;
</script>

<article class="finding {finding.severity}">
  <div class="row top">
    <StateMark state={severity} />
    <h3>{finding.title}</h3>
  </div>
  <p>{finding.sentence}</p>
  <p><strong>{finding.advice}</strong></p>
  {#if likeliest}
    <p class="cause">
      {say(texts.mostLikelyLabelPercentCheck, {
        label: lowerFirst(likeliest.label),
        percent: percent(likeliest.share),
        check: likeliest.check,
      })}
    </p>
  {/if}
  {#if finding.answered}
    <p>
      <strong
        >{finding.answered.closed_because
          ? say(texts.youFoundCause, { cause: lowerFirst(finding.answered.closed_because) })
          : texts.noCauseFoundYet}</strong
      >
      {finding.answered.look_on && !finding.answered.closed_on
        ? say(texts.lookAgainOnDay, { day: day(finding.answered.look_on) })
        : ""}
    </p>
  {:else if finding.causes.length && finding.side}
    <div class="row answer">
      <label for="cause-{finding.rule}-{finding.axle_id}-{finding.side}">{texts.whatWasIt}</label>
      <Choose
        id="cause-{finding.rule}-{finding.axle_id}-{finding.side}"
        value={cause}
        options={answers}
        onchoose={(id) => {
          cause = id;
          void onanswer(id);
        }}
      />
    </div>
  {/if}
  <details>
    <summary>{texts.whyAndWhatWouldChange}</summary>
    <dl>
      <dt>{texts.read}</dt>
      <dd>{finding.reading}</dd>
      <dt>{texts.heldAgainst}</dt>
      <dd>{finding.limit}</dd>
      {#if finding.confidence !== null}<dt>{texts.howSure}</dt>
        <dd>{say(texts.aChanceOfPercentGiven, { percent: percent(finding.confidence) })}</dd>{/if}
      <dt>{texts.itWouldChangeWith}</dt>
      <dd>{finding.change}</dd>
      <dt>{texts.ruleAndSource}</dt>
      <dd>{finding.rule}; {finding.source}</dd>
    </dl>
    {#if finding.causes.length}
      <h4>{texts.whatMayStandBehindIt}</h4>
      <ul class="plain-list causes">
        {#each finding.causes as cause (cause.label)}
          <li>
            <span class="bar" style="--share: {cause.share}" aria-hidden="true"></span>
            <span
              ><strong>{cause.label}</strong>, {percent(cause.share)}{cause.seen.length
                ? say(texts.seenSeen, { seen: cause.seen.join(", ") })
                : ""}<br />{say(texts.checkCheckRemedyRemedy, { check: cause.check, remedy: cause.remedy })}</span
            >
          </li>
        {/each}
      </ul>
      <p class="quiet">
        {texts.sharesComeFromHowCommon}
      </p>
    {/if}
  </details>
</article>

<style>
  .finding {
    border-left: 6px solid var(--watch);
    background: var(--sheet);
    padding: 0.7rem 1rem;
    display: grid;
    gap: 0.3rem;
    border-top: 1px solid var(--line);
    border-right: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
  }
  .stop {
    border-left-color: var(--stop);
  }
  .plan {
    border-left-color: var(--plan);
  }
  .top {
    gap: 0.9rem;
  }
  h3 {
    font-size: 1.25rem;
  }
  h4 {
    font-size: 1rem;
    margin: 0.5rem 0 0.25rem;
  }
  .cause {
    color: var(--doubt);
  }
  summary {
    cursor: pointer;
    color: var(--petrol);
    min-height: 40px;
    display: flex;
    align-items: center;
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
  .answer {
    display: grid;
    grid-template-columns: auto minmax(0, 24rem);
    justify-content: start;
    align-items: center;
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
