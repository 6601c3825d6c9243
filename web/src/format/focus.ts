/** Takes the focus when it appears, and gives it back to what had it when it goes. */
export function focusOn(node: HTMLElement): { destroy: () => void } {
  const before = document.activeElement instanceof HTMLElement ? document.activeElement : null;
  // After the click that brought it has run its course.
  queueMicrotask(() => node.focus());
  return { destroy: () => giveBack(before) };
}

function giveBack(before: HTMLElement | null): void {
  queueMicrotask(() => {
    if (document.activeElement && document.activeElement !== document.body) return;
    if (before?.isConnected) before.focus();
    else document.getElementById("content")?.focus();
  });
}
