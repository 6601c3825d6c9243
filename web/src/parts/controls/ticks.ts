/** Runs what a tick asks for; a box that was not taken goes back, so that what looks ticked is ticked. */
export async function ticked(box: HTMLInputElement, action: (on: boolean) => Promise<boolean>): Promise<void> {
  const on = box.checked;
  let kept = false;
  try {
    kept = await action(on);
  } finally {
    if (!kept) box.checked = !on;
  }
}

/** The same for one of a group of radio buttons. kept: returns the value that holds when it was not taken. */
export async function picked(
  box: HTMLInputElement,
  kept: () => string | null,
  action: () => Promise<boolean>,
): Promise<void> {
  if (await action()) return;
  document
    .querySelectorAll<HTMLInputElement>(`input[type="radio"][name="${CSS.escape(box.name)}"]`)
    .forEach((each) => (each.checked = each.value === kept()));
}
