<script lang="ts">
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { day, lowerFirst } from "../../format/words";
  import TermText from "../../parts/TermText.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import { Button } from "carbon-components-svelte";
  import FindingWhy from "./FindingWhy.svelte";
  import { percent } from "./percent";

  /** One matter: what leads it, what to do, what belongs to it, and behind one press why and what would change it. */
  interface Props {
    finding: Schemas["Finding"];
    others: Schemas["Finding"][];
    /** Where it is planned. */
    plan: { href: string; label: string } | null;
    state: Schemas["State"];
    /** The cause found: one of its causes, by id, or "none". */
    onanswer: (cause: string) => Promise<unknown>;
  }
  let { finding, others, plan, state: severity, onanswer }: Props = $props();
  let cause = $state("");
  const answers = $derived([
    { id: "", label: texts.notLookedYet },
    ...finding.causes,
    { id: "none", label: texts.noCauseFound },
  ]);
  const likeliest = $derived(finding.causes[0]);
</script>

<article class="finding {finding.severity}">
  <div class="row top">
    <StateMark state={severity} />
    <h3>{finding.title}</h3>
  </div>
  <p><TermText text={finding.sentence} /></p>
  <p><strong><TermText text={finding.advice} /></strong></p>
  {#if likeliest}
    <p class="cause">
      <TermText
        text={say(texts.mostLikelyLabelPercentCheck, {
          label: lowerFirst(likeliest.label),
          percent: percent(likeliest.share),
          check: likeliest.check,
        })}
      />
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
        ? say(texts.checkAgainOnDay, { day: day(finding.answered.look_on) })
        : ""}
    </p>
  {:else if finding.causes.length && finding.side}
    <div class="answer">
      <SelectField
        label={texts.causeQuestion}
        value={cause}
        options={answers}
        onchoose={(id) => {
          cause = id;
          void onanswer(id);
        }}
      />
    </div>
  {/if}
  <FindingWhy {finding} />
  {#if others.length}
    <ul class="plain-list others" aria-label={texts.withIt}>
      {#each others as other (other.rule + other.sentence)}
        <li>
          <FindingWhy finding={other} line />
        </li>
      {/each}
    </ul>
  {/if}
  {#if plan}<p><Button size="small" href={plan.href}>{plan.label}</Button></p>{/if}
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
  .cause {
    color: var(--ink);
  }
  .answer {
    max-width: 24rem;
  }
  .others {
    display: grid;
    gap: 0.5rem;
    border-top: 1px solid var(--line);
    padding-top: 0.5rem;
  }
</style>
