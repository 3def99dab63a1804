import { tick } from 'svelte';

/** Gives a line's row the focus, once it is drawn. */
export async function focusRow(id: string): Promise<void> {
  await tick();
  const button = document.querySelector<HTMLElement>(`[data-open="${id}"]`);
  button?.focus();
  button?.scrollIntoView({ block: 'nearest' });
}

/** The open line in one piece on the screen, as far as it fits. */
export async function bringIntoView(id: string): Promise<void> {
  await tick();
  document.querySelector(`[data-line="${id}"]`)?.parentElement?.scrollIntoView({ block: 'nearest' });
}
