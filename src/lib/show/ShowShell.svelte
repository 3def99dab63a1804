<script lang="ts">
  import { unlessTyping } from '$lib/ui/keys';
  import { preloadCode } from '$app/navigation';
  import type { Kit } from '$core/kit/schema';
  import type { Plan } from '$core/plan/schema';
  import Header from '$lib/ui/Header.svelte';
  import { onMount, type Snippet, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import Conflicts from './Conflicts.svelte';
  import { provideShow, type Show } from './context';
  import { Judging } from './judging.svelte';
  import { ShowSession } from './session.svelte';
  import type { SentEdit } from './wire';

  interface Props {
    data: { id: string; name: string; plan: Plan; revision: number; log: SentEdit[]; crewKit: Kit };
    children: Snippet;
  }
  const { data, children }: Props = $props();

  const session = untrack(() => new ShowSession(data.id, data.plan, data.revision, data.log));
  let judging = $state.raw<Judging>();
  let help = $state.raw<(() => void) | null>(null);

  const show: Show = provideShow({
    id: untrack(() => data.id),
    get name() {
      return data.name;
    },
    session,
    get judging() {
      return judging;
    },
    get crewKit() {
      return data.crewKit;
    },
    undo: () => announce(session.undo(), 'Undone'),
    redo: () => announce(session.redo(), 'Redone'),
    get help() {
      return help;
    },
    set help(open) {
      help = open;
    }
  });
  const STATUS = {
    saved: 'Saved',
    saving: 'Saving …',
    retrying: 'Not saved, retrying',
    gone: 'This show was deleted'
  } as const;

  onMount(() => {
    judging = new Judging();
    void session.open();
    // The other views are at hand when the server is not.
    void Promise.allSettled(
      ['', '/propose', '/schools', '/kit', '/paper', '/check', '/compare/x'].map((to) =>
        preloadCode(`/show/${data.id}${to}`)
      )
    );
    // An open dialog has its own keys.
    const when = (act: () => void) => {
      const free = unlessTyping(act);
      return (event: KeyboardEvent): void => {
        if (!document.querySelector('dialog[open]')) free(event);
      };
    };
    const stop = tinykeys(window, {
      '$mod+z': when(show.undo),
      '$mod+Shift+z': when(show.redo),
      '$mod+Shift+Z': when(show.redo),
      '$mod+y': when(show.redo)
    });
    return () => {
      stop();
      session.close();
      judging?.close();
    };
  });

  $effect(() => void judging?.judge(session.plan));
  $effect(() => {
    if (!session.trouble) return;
    toast.error(session.trouble);
    session.trouble = null;
  });

  function announce(what: string | null, how: string): void {
    if (what) toast(`${how}: ${what}`);
    else toast('Nothing more there.');
  }
</script>

<Header
  show={{ id: data.id, name: data.name }}
  status={STATUS[session.save]}
  statusTone={session.save === 'retrying' || session.save === 'gone' ? 'text-warning font-semibold' : 'text-quiet'}
  onhelp={help ?? undefined}
>
  {#snippet extra()}
    <button
      type="button"
      class="text-quiet hover:text-base-content disabled:opacity-40"
      disabled={session.history.undo.length === 0}
      onclick={show.undo}>Undo</button
    >
    <button
      type="button"
      class="text-quiet hover:text-base-content disabled:opacity-40 max-sm:hidden"
      disabled={session.history.redo.length === 0}
      onclick={show.redo}>Redo</button
    >
  {/snippet}
</Header>
<Conflicts {session} />
{@render children()}
