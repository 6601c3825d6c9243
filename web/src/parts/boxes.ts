/** Runs what a tick asks for; a box that was not taken goes back, so that what looks ticked is ticked. */
export async function ticked(box: HTMLInputElement, deed: (on: boolean) => Promise<boolean>): Promise<void> {
  const on = box.checked;
  let kept = false;
  try {
    kept = await deed(on);
  } finally {
    if (!kept) box.checked = !on;
  }
}

/** The same for one of a group of radio buttons. kept: the value that holds when it was not taken. */
export async function picked(box: HTMLInputElement, kept: string | null, deed: () => Promise<boolean>): Promise<void> {
  if (await deed()) return;
  document.querySelectorAll<HTMLInputElement>(`input[type="radio"][name="${CSS.escape(box.name)}"]`).forEach((each) => (each.checked = each.value === kept));
}
