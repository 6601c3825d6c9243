const FOCUSABLE =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary";
const MOST_REMEMBERED = 6;

/** Takes the focus when it appears. */
export function focusOn(node: HTMLElement, wanted = true): void {
  if (!wanted) return;
  // After the click that brought it has run its course.
  queueMicrotask(() => node.focus());
}

/** Keeps the focus off the page's body: when the focused element goes, the nearest one takes it. */
export function guardFocus(): () => void {
  let chain: HTMLElement[] = [];
  let before: HTMLElement[] = [];

  const remember = (event: FocusEvent) => {
    const now = event.target as HTMLElement;
    before = [now, ...before.filter((each) => each !== now)].slice(0, MOST_REMEMBERED);
    chain = [];
    for (let at: HTMLElement | null = now; at && at !== document.body; at = at.parentElement) chain.push(at);
  };
  const mend = () => {
    const last = chain[0];
    if (!last || document.activeElement !== document.body) return;
    if (last.isConnected) {
      // It was only switched off meanwhile.
      if (before[0] === last && lost(last)) last.focus();
      return;
    }
    const near = chain.find((each) => each.isConnected);
    if (near && near.id !== "content" && near.tagName !== "HEADER") return first(near)?.focus();
    (before.find((each) => each.isConnected && each.matches(FOCUSABLE)) ?? document.getElementById("content"))?.focus({
      preventScroll: true,
    });
  };
  // A focused element that was disabled and is enabled again.
  let disabled: HTMLElement | null = null;
  const lost = (node: HTMLElement) => node === disabled && node.matches(FOCUSABLE) && ((disabled = null), true);
  const watcher = new MutationObserver((changes) => {
    if (
      changes.some((change) => change.attributeName === "disabled") &&
      chain[0]?.isConnected &&
      !chain[0].matches(FOCUSABLE)
    )
      disabled = chain[0];
    requestAnimationFrame(mend);
  });

  document.addEventListener("focusin", remember);
  watcher.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ["disabled"] });
  return () => (document.removeEventListener("focusin", remember), watcher.disconnect());
}

function first(near: HTMLElement): HTMLElement | null {
  const found = near.matches(FOCUSABLE) ? near : near.querySelector<HTMLElement>(FOCUSABLE);
  if (found) return found;
  near.tabIndex = -1;
  return near;
}
