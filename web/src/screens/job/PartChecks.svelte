<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { exactLength } from "../../format/lengths";

  /** A new part compared with the old one, figure by figure. */
  let { checks }: { checks: Schemas["PartCheck"][] } = $props();
  const WORDS = { fits: texts.fits, differs: texts.differs, unknown: texts.unknown };
  const said = (check: Schemas["PartCheck"]) =>
    check.verdict === "unknown"
      ? `${check.what}: ${check.old_mm === null ? texts.theOldOnesIsNot : texts.notEntered}`
      : say(texts.whatFigureMmTheOld, {
          what: check.what,
          figure: exactLength(check.new_mm),
          figure2: exactLength(check.old_mm),
        });
</script>

<ul class="plain-list">
  {#each checks as check (check.what)}<li class={check.verdict}>
      <strong>{WORDS[check.verdict]}:</strong>
      {said(check)}
    </li>{/each}
</ul>

<style>
  .fits {
    color: var(--good);
  }
  .differs {
    color: var(--stop);
    font-weight: 600;
  }
  .unknown {
    color: var(--doubt);
  }
</style>
