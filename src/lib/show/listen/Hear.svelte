<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf, MOST } from '$core/hear/fair';
  import { page } from '$app/state';
  import { PLAYER_LIMITS } from '$core/players/schema';
  import { cutText } from '$core/text/well-formed';
  import { serverNow } from '$lib/live/clock';
  import { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { LogBook } from '$lib/show/log/log-book.svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName, setInfo } from '$lib/show/session/edits';
  import { unlessBusy } from '$lib/ui/keys';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import AskOthers from './AskOthers.svelte';
  import AbxTest from './AbxTest.svelte';
  import BlindTest from './BlindTest.svelte';
  import HearAgainst from './HearAgainst.svelte';
  import HearChoices from './HearChoices.svelte';
  import HearControls from './HearControls.svelte';
  import { HearDesk } from './hear-desk.svelte';
  import HearPictures from './HearPictures.svelte';
  import HearSetup from './HearSetup.svelte';
  import HearSighted from './HearSighted.svelte';
  import HearTurn from './HearTurn.svelte';

  /** A plan is heard before it is built: what is played, through which ways, side by side, equally loud, blind where it counts. */
  const { originForOthers }: { originForOthers: string | null } = $props();
  const show = useShow();
  const desk = untrack(() => new HearDesk(show));
  const { player, hearing } = desk;
  const line = $derived(desk.line);
  const ready = $derived(desk.ready);
  /** A test is under way: the letters, and nothing else. */
  let busy = $state(false);
  let mode = $state<'sighted' | 'blind' | 'abx'>('sighted');
  let pictures = $state(false);
  const crew = untrack(() => new CrewPlayers(show.crewId, show.rows));
  const book = untrack(() => new LogBook(show.id, show.name, { entries: [], more: false }, show.rows, () => []));

  onMount(() => {
    void book.lane.resume();
    if (show.mayChange) void crew.open(show.feed);
    const when = (act: () => void) => unlessBusy(act);
    const stop = tinykeys(window, {
      Space: when(() => void (player.playing ? player.pause() : player.play())),
      ...(Object.fromEntries(
        Array.from({ length: MOST }, (_, k) => [
          letterOf(k).toLowerCase(),
          when(() => {
            if (mode === 'sighted' && k < ready.length) player.switchTo(k);
          })
        ])
      ) as Record<string, (event: KeyboardEvent) => void>)
    });
    return () => {
      stop();
      desk.close();
      book.close();
      crew.close();
    };
  });
  // What would fix a line, and what another page handed over, is asked once its judge is there.
  $effect(() => {
    if (!show.judging || !line) return;
    const { searchParams } = page.url;
    untrack(() => void desk.take(desk.lineId ?? searchParams.get('line') ?? line.id, searchParams.get('with')));
  });
  /** A loop of ours or a short recording, through this line and nothing else, can be turned while it plays. */
  const turns = $derived(
    ready.every((c) => c.through.kind !== 'take') &&
      (desk.sound !== 'own' || (desk.ownThrough === 'nothing' && player.length <= 60))
  );

  async function write(what: string, who: string, best: number | null = null): Promise<void> {
    if (!line) return;
    const name = who.trim();
    await book.write(says.listenedTo(lineName(line), name === '' ? '' : says.by(name), what), show.session.revision);
    const id = line.info?.instrument;
    const liked = best === null ? null : desk.boxOf(ready[best]);
    if (liked && show.mayChange) show.session.do(setInfo(desk.plan, line, { liked }));
    const instrument = id ? crew.instrument(id) : null;
    // What is liked by ear stands with the instrument, for the next show.
    if (id && instrument) {
      const text = cutText(name === '' ? what : `${name}: ${what}`, PLAYER_LIMITS.heard);
      const heard = [{ at: new Date(serverNow()).toISOString(), text }, ...(instrument.heard ?? [])];
      crew.putInstrument(
        { ...instrument, ...(liked ? { liked } : {}), heard: heard.slice(0, PLAYER_LIMITS.hearings) },
        id
      );
    }
    toast.success(says.kept);
  }
  const MODES = [
    ['sighted', says.sighted],
    ['blind', says.blind],
    ['abx', says.abx]
  ] as const;
</script>

<main class="mx-auto grid max-w-[980px] gap-5 px-5 py-5 max-sm:px-3.5">
  <h1 class="sr-only">{says.title(show.name)}</h1>
  {#if !line}
    <p class="py-10 text-center text-quiet">
      {says.noLines} <a class="link" href="/show/{show.id}">{says.toLines}</a>
    </p>
  {:else}
    {#if !busy}
      <HearSetup {desk} />
      <HearChoices {desk} />
      <div class="flex flex-wrap items-center gap-3">
        <button
          type="button"
          class="btn btn-primary"
          disabled={!desk.enough || hearing.progress !== null}
          onclick={() => void desk.makeReady()}>{says.makeReady}</button
        >
        {#if hearing.progress !== null}
          <span role="status">{says.makingReady(Math.round(hearing.progress * 100))}</span>
          <button type="button" class="link" onclick={() => hearing.cancel()}>{says.cancel}</button>
        {:else if !desk.enough}
          <span class="text-quiet">{says.twoToSix}</span>
        {/if}
        {#if hearing.failed}<span class="text-error" role="alert">{says.cannotBeHeard(hearing.failed)}</span>{/if}
      </div>
    {/if}
    {#if ready.length > 0}
      <section class="grid gap-4 {busy ? '' : 'border-t-2 border-primary pt-4'}">
        {#if !busy}
          <div class="flex flex-wrap gap-1" role="group" aria-label={says.howToListen}>
            {#each MODES as [value, name] (value)}
              <button
                type="button"
                class="rounded-full px-3.5 py-1.5 {mode === value ? 'bg-primary text-primary-content' : 'bg-base-200'}"
                aria-pressed={mode === value}
                onclick={() => (mode = value)}>{name}</button
              >
            {/each}
          </div>
        {/if}
        <HearControls {player} small={busy} />
        {#if mode === 'sighted'}
          <HearSighted {player} candidates={ready} heard={desk.heard} rate={player.rate} text={lineName(line)} />
          <HearAgainst {desk} />
          {#if turns}{#key ready}<HearTurn {desk} />{/key}{/if}
          <p>
            <button type="button" class="link" aria-expanded={pictures} onclick={() => (pictures = !pictures)}
              >{says.pictures}</button
            >
          </p>
          {#if pictures}<HearPictures {desk} />{/if}
        {:else}
          {#key ready}
            {@const Test = mode === 'blind' ? BlindTest : AbxTest}
            <Test
              {player}
              names={ready.map((c) => c.name)}
              mayWrite={show.mayChange}
              onwrite={write}
              onbusy={(on: boolean) => (busy = on)}
            />
            {#if mode === 'blind' && !busy && show.mayChange}<AskOthers {desk} {originForOthers} onwrite={write} />{/if}
          {/key}
        {/if}
      </section>
    {/if}
  {/if}
</main>
