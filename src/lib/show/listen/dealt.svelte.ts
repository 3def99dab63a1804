import { SvelteSet } from 'svelte/reactivity';
import type { FairPlayer } from './fair-player.svelte';

/** Letters that were dealt: which is heard now, and which have been, until they are dealt anew. */
export class Dealt {
  on = $state<number | null>(null);
  readonly heard = new SvelteSet<number>();
  constructor(readonly player: FairPlayer) {}
  anew(): void {
    this.heard.clear();
    this.on = null;
    this.player.pause();
  }
  /** @param which of what was made ready stands under the letter */
  hear(letter: number, which: number): void {
    this.on = letter;
    this.heard.add(letter);
    this.player.switchTo(which);
    void this.player.play();
  }
}
/** A seed for a test that nobody knows. */
export const lot = (): number => Math.floor(Math.random() * 2 ** 31);
