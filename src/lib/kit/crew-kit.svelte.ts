import type { Kit } from '$core/kit/schema';
import type { KitChange } from '$lib/show/wire';
import { toast } from 'svelte-sonner';
import { backwards, withChanges } from './changes';

/** The crew's kit on screen: changes show at once, are sent in order, and can be taken back. */
export class CrewKit {
  kit = $state.raw<Kit>({});
  save = $state<'saved' | 'saving' | 'retrying' | 'signed-out'>('saved');
  undoable = $state(0);
  redoable = $state(0);
  #undo: KitChange[][] = [];
  #redo: KitChange[][] = [];
  #queue: KitChange[][] = [];
  #sending = false;

  constructor(kit: Kit) {
    this.kit = kit;
  }

  do(changes: readonly KitChange[]): void {
    if (changes.length === 0) return;
    this.#undo.push([...changes]);
    this.#redo = [];
    this.#put(changes);
  }
  undo(): boolean {
    const last = this.#undo.pop();
    if (!last) return false;
    this.#redo.push(last);
    this.#put(backwards(last));
    return true;
  }
  redo(): boolean {
    const last = this.#redo.pop();
    if (!last) return false;
    this.#undo.push(last);
    this.#put(last);
    return true;
  }

  #put(changes: readonly KitChange[]): void {
    this.kit = withChanges(this.kit, changes);
    this.undoable = this.#undo.length;
    this.redoable = this.#redo.length;
    this.#queue.push([...changes]);
    void this.#send();
  }

  async #send(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    this.save = 'saving';
    while (this.#queue.length > 0) {
      const [changes] = this.#queue;
      const response = await fetch('/api/kit', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ changes })
      }).catch(() => null);
      if (response === null || response.status >= 500 || response.status === 401) {
        // Nothing that was typed is lost: it waits here and goes when it can.
        this.save = response?.status === 401 ? 'signed-out' : 'retrying';
        await new Promise((resolve) => setTimeout(resolve, 2000));
        continue;
      }
      this.#queue.shift();
      if (!response.ok) await this.#refused(response);
    }
    this.save = 'saved';
    this.#sending = false;
  }

  async #refused(response: Response): Promise<void> {
    const answer = (await response.json().catch(() => ({}))) as { kit?: Kit; message?: string };
    this.#undo = [];
    this.#redo = [];
    this.#queue = [];
    this.undoable = this.redoable = 0;
    if (answer.kit) {
      this.kit = answer.kit;
      toast.error(
        'Somebody else changed the same things. This is the kit as it is now; your last change was not made.'
      );
    } else toast.error(answer.message ?? 'The change was refused. Reload the page.');
  }
}
