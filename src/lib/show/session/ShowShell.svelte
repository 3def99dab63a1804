<script lang="ts">
  import { session as says } from '$core/words/screen/session';
  import { unlessBusy } from '$lib/ui/keys';
  import { preloadCode } from '$app/navigation';
  import type { Kit } from '$core/kit/schema';
  import type { Plan } from '$core/plan/schema';
  import Header from '$lib/ui/Header.svelte';
  import { CatchingUp } from '$lib/live/catching-up';
  import { Feed } from '$lib/live/feed';
  import { Presence } from '$lib/live/presence.svelte';
  import Whereabouts from '$lib/live/Whereabouts.svelte';
  import { keepPlan, keepShow, keptPlan } from '$lib/offline/device';
  import { browserRows } from '$lib/outbox/browser-rows';
  import { page } from '$app/state';
  import { onMount, type Snippet, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { provideShow, type Show } from './context';
  import { Judging } from './judging.svelte';
  import { ShowSession } from './session.svelte';
  import StopBanner from './StopBanner.svelte';
  import { Stops } from './stops.svelte';
  import type { SentEdit } from '$lib/protocol/edits';

  /** A plan is kept once nobody has changed it for so long, milliseconds. */
  const KEEP_AFTER_MS = 800;
  /** A network that is gone for less than this is not worth a word, milliseconds. */
  const AWAY_AFTER_MS = 2500;

  interface Props {
    data: {
      id: string;
      name: string;
      plan: Plan;
      revision: number;
      log: SentEdit[];
      crewKit: Kit;
      crewId: string;
      guest: boolean;
      mayChange: boolean;
    };
    children: Snippet;
  }
  const { data, children }: Props = $props();

  const session = untrack(() => new ShowSession(data.id, data, browserRows));
  const feed = untrack(() => new Feed(`/api/shows/${data.id}/live`));
  const presence = untrack(() => new Presence(data.id, feed));
  const stops = untrack(() => new Stops(data.id, browserRows, !data.guest));
  let crewKit = $state.raw(untrack(() => data.crewKit));
  const kitNews = new CatchingUp(async () => {
    const answer = await fetch('/api/kit');
    if (answer.ok) crewKit = ((await answer.json()) as { kit: Kit }).kit;
  });
  let judging = $state.raw<Judging>();
  /** Nothing is heard of the server. */
  let away = $state(false);
  const unheard = $derived(away && session.save === 'saved');
  let help = $state.raw<(() => void) | null>(null);
  /** The line that is open in the view that is shown. */
  let at = $state<string | null>(null);

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
      return crewKit;
    },
    crewId: untrack(() => data.crewId),
    feed,
    rows: browserRows,
    presence,
    stops,
    mayChange: untrack(() => data.mayChange),
    undo: () => announce(session.undo(), says.undone),
    redo: () => announce(session.redo(), says.redone),
    get help() {
      return help;
    },
    set help(open) {
      help = open;
    },
    set at(line: string | null) {
      at = line;
    }
  });
  const STATUS = {
    saved: says.saved,
    saving: says.saving,
    retrying: says.notSavedRetrying,
    'signed-out': says.notSavedSignedOut,
    gone: says.thisShowWasDeleted
  } as const;

  onMount(() => {
    judging = new Judging();
    void openSession();
    if (!data.guest) {
      kitNews.follow(feed, 'kit', () => true);
      presence.open();
    }
    void stops.follow(feed);
    let soon: ReturnType<typeof setTimeout> | undefined;
    feed.onOpen(() => {
      clearTimeout(soon);
      away = false;
    });
    feed.onLost(() => {
      clearTimeout(soon);
      soon = setTimeout(() => (away = true), AWAY_AFTER_MS);
    });
    feed.open();
    // The other views are at hand when the server is not.
    void Promise.allSettled(
      [
        '',
        '/propose',
        '/schools',
        '/kit',
        '/paper',
        '/check',
        '/earth',
        '/trace',
        '/listen',
        '/analyse',
        '/log',
        '/compare/x'
      ].map((to) => preloadCode(`/show/${data.id}${to}`))
    );
    const stop = tinykeys(window, {
      '$mod+z': unlessBusy(show.undo),
      '$mod+Shift+z': unlessBusy(show.redo),
      '$mod+Shift+Z': unlessBusy(show.redo),
      '$mod+y': unlessBusy(show.redo)
    });
    return () => {
      stop();
      clearTimeout(soon);
      session.close();
      presence.close();
      stops.close();
      kitNews.close();
      feed.close();
      judging?.close();
    };
  });

  $effect(() => {
    const [, , , view = ''] = page.url.pathname.split('/');
    if (!data.guest) presence.at(view, at ?? (view === 'compare' ? (page.params.line ?? null) : null));
  });
  $effect(() => void judging?.judge(session.plan));
  $effect(() => {
    if (!session.trouble) return;
    toast.error(session.trouble);
    session.trouble = null;
  });

  /** What this device has kept may be newer than a page that it has kept as well. */
  async function openSession(): Promise<void> {
    const kept = data.guest ? null : await keptPlan(data.id);
    if (kept) session.takeKept(kept);
    await session.open(feed);
    if (!data.guest) void keepShow(data.id);
  }
  $effect(() => {
    const { ground } = session;
    if (data.guest) return;
    const soon = setTimeout(() => void keepPlan(data.id, ground), KEEP_AFTER_MS);
    return () => clearTimeout(soon);
  });

  function announce(what: string | null, how: string): void {
    if (what) toast(`${how}: ${what}`);
    else toast(says.nothingMoreThere);
  }
</script>

<Header
  show={{ id: data.id, name: data.name }}
  guest={data.guest}
  status={unheard ? says.noNetwork : data.mayChange ? STATUS[session.save] : says.lookingOnly}
  statusTone={unheard || ['retrying', 'signed-out', 'gone'].includes(session.save)
    ? 'text-warning font-semibold'
    : 'text-quiet'}
  onhelp={help ?? undefined}
>
  {#snippet extra()}
    <Whereabouts others={presence.others} lineName={(id) => session.plan.lines[id]?.name ?? null} />
    {#if data.mayChange}
      <button
        type="button"
        class="text-quiet hover:text-base-content disabled:opacity-40"
        disabled={session.history.undo.length === 0}
        onclick={show.undo}>{says.undo}</button
      >
      <button
        type="button"
        class="text-quiet hover:text-base-content disabled:opacity-40 max-sm:hidden"
        disabled={session.history.redo.length === 0}
        onclick={show.redo}>{says.redo}</button
      >
    {/if}
  {/snippet}
</Header>
<StopBanner />
{#if session.save === 'signed-out'}
  <p class="border-b border-warning px-5 py-2" role="alert">
    {says.youAreSignedOutWhatYou}
    <a class="underline" href="/sign-in?to=/show/{data.id}" data-sveltekit-reload>{says.signIn}</a>{says.andItIsSaved}
  </p>
{/if}
{#if session.aside.length > 0}
  {#await import('./SetAside.svelte') then { default: SetAside }}<SetAside {session} />{/await}
{/if}
{@render children()}
