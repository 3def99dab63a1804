import { tick } from 'svelte';

/** Takes the focus on where the work goes on, if what had it is gone. */
export async function focusIfLost(to: () => HTMLElement | null | undefined): Promise<void> {
  await tick();
  const at = document.activeElement;
  if (!at || at === document.body) to()?.focus({ preventScroll: true });
}
