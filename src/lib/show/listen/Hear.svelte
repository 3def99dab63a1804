<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { LEAST, letterOf, MOST } from '$core/hear/fair';
  import { SOUND_IDS, soundFor, type SoundId } from '$core/hear/sounds';
  import { settingsAt } from '$core/plan/devices';
  import { isComplete } from '$core/plan/lines';
  import { resolve } from '$core/plan/resolved';
  import type { InstrumentId } from '$core/gear/instruments';
  import { SOUND_NAMES } from '$core/words/hear';
  import { page } from '$app/state';
  import { PLAYER_LIMITS } from '$core/players/schema';
  import { cutText } from '$core/text/well-formed';
  import { serverNow } from '$lib/live/clock';
  import { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { LogBook } from '$lib/show/log/log-book.svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { unlessTyping } from '$lib/ui/keys';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import AbxTest from './AbxTest.svelte';
  import BlindTest from './BlindTest.svelte';
  import { candidatesOf, type Candidate } from './candidates';
  import { FairPlayer } from './fair-player.svelte';
  import HearChoices from './HearChoices.svelte';
  import HearControls from './HearControls.svelte';
  import HearSighted from './HearSighted.svelte';
  import { Hearing } from './hearing.svelte';
  import type { Played } from './hear.worker';
  import { Advising } from '$lib/show/compare/advising.svelte';
  import { readRecording } from './read-recording';

  /** A plan is heard before it is built: what is played, through which ways, side by side, equally loud, blind where it counts. */
  const show = useShow();
  const plan = $derived(show.session.plan);
  const lines = $derived(resolve(plan).lines.filter((l) => isComplete(plan, l)));
  let lineId = $state<string | null>(untrack(() => page.url.searchParams.get('line')));
  const line = $derived(lines.find((l) => l.id === lineId) ?? lines[0] ?? null);
  const source = $derived(line && settingsAt(plan, line.devices[0]));
  let chosenSound = $state<SoundId | 'own' | null>(null);
  const sound = $derived(chosenSound ?? soundFor((source?.instrument ?? null) as InstrumentId | null));
  let own = $state.raw<{ readonly name: string; readonly samples: Float32Array } | null>(null);
  let noises = $state(true);
  let amp = $state(false);
  let takes = $state.raw<readonly Candidate[]>([]);
  let ways = $state.raw<readonly Candidate[]>([]);
  /** Keys of what is chosen, in the order in which it stands. */
  let chosen = $state.raw<readonly string[]>(['dry', 'plan']);
  /** All ways that Compare knows, those that nothing beats first. */
  const search = new Advising<readonly Candidate[]>();
  let others = $state.raw<readonly Candidate[]>([]);
  const offered = $derived([...candidatesOf(plan, line), ...ways, ...others, ...takes]);
  const picked = $derived(offered.filter((c) => chosen.includes(c.key)));
  /** What was made ready, in the order of its letters; what was chosen since is not in it. */
  let ready = $state.raw<readonly Candidate[]>([]);
  /** A test is under way: the letters, and nothing else. */
  let busy = $state(false);
  let mode = $state<'sighted' | 'blind' | 'abx'>('sighted');
  const hearing = new Hearing();
  const player = new FairPlayer();
  const crew = untrack(() => new CrewPlayers(show.crewId, show.rows));
  const book = untrack(() => new LogBook(show.id, show.name, { entries: [], more: false }, show.rows, () => []));

  onMount(() => {
    void book.lane.resume();
    if (show.mayChange) void crew.open(show.feed);
    const when = (act: () => void) => unlessTyping(act);
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
      hearing.cancel();
      search.cancel();
      player.close();
      book.close();
      crew.close();
    };
  });

  // Another line has other remedies; what they do to it is asked once.
  let asked = '';
  $effect(() => {
    const [of, at] = [line, plan];
    const judging = show.judging;
    if (!of || !judging || asked === of.id) return;
    asked = of.id;
    ways = [];
    others = [];
    void judging.remedies(at, of.id, null).then(async (remedies) => {
      const { remedyCandidates } = await import('./remedy-candidates');
      if (asked === of.id) ways = remedyCandidates(remedies);
    });
  });

  async function otherWays(): Promise<void> {
    if (!line) return;
    const [at, id] = [plan, line.id];
    await search.run(async (api) => {
      const [{ routes }, { routeCandidates }] = await Promise.all([
        api.compare(at, id, null),
        import('./remedy-candidates')
      ]);
      return routeCandidates(routes);
    });
    if (line?.id === id) others = search.result ?? [];
  }
  function toggle(key: string): void {
    chosen = chosen.includes(key) ? chosen.filter((k) => k !== key) : [...chosen, key];
  }
  async function takeFiles(files: FileList | null): Promise<void> {
    for (const file of files ?? []) {
      const read = await readRecording(file, player.rate);
      if ('why' in read) {
        toast.error(read.why);
        continue;
      }
      const key = `take ${takes.length} ${file.name}`;
      takes = [...takes, { key, name: file.name, through: { kind: 'take', samples: read.samples } }];
      chosen = [...chosen.filter((k) => k !== 'dry' && k !== 'plan'), key];
    }
  }
  async function takeOwn(file: File | undefined): Promise<void> {
    if (!file) return;
    const read = await readRecording(file, player.rate);
    if ('why' in read) toast.error(read.why);
    else [own, chosenSound] = [{ name: file.name, samples: read.samples }, 'own'];
  }
  async function makeReady(): Promise<void> {
    if (!line) return;
    player.pause();
    const all = picked;
    const played: Played =
      sound === 'own' && own ? { kind: 'own', samples: own.samples } : { kind: 'made', id: sound as SoundId };
    const made = await hearing.hear({
      ...{ plan: $state.snapshot(plan) as typeof plan, lineId: line.id, played, noises, amp, rate: player.rate },
      through: all.map((c) => c.through)
    });
    if (!made) return;
    ready = all;
    player.current = 0;
    player.load(made.map((h) => h.samples));
  }
  async function write(what: string, who: string): Promise<void> {
    if (!line) return;
    const name = who.trim();
    await book.write(says.listenedTo(lineName(line), name === '' ? '' : says.by(name), what), show.session.revision);
    const id = line.info?.instrument;
    const instrument = id ? crew.instrument(id) : null;
    // What is liked by ear stands with the instrument, for the next show.
    if (id && instrument) {
      const text = cutText(name === '' ? what : `${name}: ${what}`, PLAYER_LIMITS.heard);
      const heard = [{ at: new Date(serverNow()).toISOString(), text }, ...(instrument.heard ?? [])];
      crew.putInstrument({ ...instrument, heard: heard.slice(0, PLAYER_LIMITS.hearings) }, id);
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
      <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
        <label class="grid gap-0.5"
          ><span class="text-[0.93em] text-quiet">{says.whichLine}</span>
          <select
            class="select w-56"
            value={line.id}
            onchange={(event) => {
              lineId = event.currentTarget.value;
              chosen = ['dry', 'plan'];
            }}
          >
            {#each lines as l (l.id)}<option value={l.id}>{lineName(l)}</option>{/each}
          </select></label
        >
        <label class="grid gap-0.5"
          ><span class="text-[0.93em] text-quiet">{says.whatPlays}</span>
          <select
            class="select w-64"
            value={sound}
            onchange={(event) => (chosenSound = event.currentTarget.value as SoundId | 'own')}
          >
            {#each SOUND_IDS as id (id)}<option value={id}>{SOUND_NAMES[id]}</option>{/each}
            {#if own}<option value="own">{says.ownPlays(own.name)}</option>{/if}
          </select></label
        >
        <label class="link cursor-pointer py-2"
          >{says.ownFile}<input
            type="file"
            accept="audio/*"
            class="sr-only"
            onchange={(event) => void takeOwn(event.currentTarget.files?.[0])}
          /></label
        >
      </div>
      <HearChoices
        {offered}
        {chosen}
        ways={others.length > 0 ? null : search.progress === null ? says.otherWays : says.lookingForWays}
        bind:noises
        bind:amp
        ontoggle={toggle}
        onways={() => void otherWays()}
        onfiles={(files) => void takeFiles(files)}
      />
      <div class="flex flex-wrap items-center gap-3">
        <button
          type="button"
          class="btn btn-primary"
          disabled={picked.length < LEAST || picked.length > MOST || hearing.progress !== null}
          onclick={() => void makeReady()}>{says.makeReady}</button
        >
        {#if hearing.progress !== null}
          <span role="status">{says.makingReady(Math.round(hearing.progress * 100))}</span>
          <button type="button" class="link" onclick={() => hearing.cancel()}>{says.cancel}</button>
        {:else if picked.length < LEAST || picked.length > MOST}
          <span class="text-quiet">{says.twoToSix}</span>
        {/if}
        {#if hearing.failed}<span class="text-error" role="alert">{says.cannotBeHeard(hearing.failed)}</span>{/if}
      </div>
    {/if}
    {#if ready.length > 0 && hearing.result}
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
          <HearSighted {player} candidates={ready} heard={hearing.result} rate={player.rate} text={lineName(line)} />
        {:else if mode === 'blind'}
          {#key ready}<BlindTest
              {player}
              names={ready.map((c) => c.name)}
              mayWrite={show.mayChange}
              onwrite={write}
              onbusy={(on) => (busy = on)}
            />{/key}
        {:else}
          {#key ready}<AbxTest
              {player}
              names={ready.map((c) => c.name)}
              mayWrite={show.mayChange}
              onwrite={write}
              onbusy={(on) => (busy = on)}
            />{/key}
        {/if}
      </section>
    {/if}
  {/if}
</main>
