<script lang="ts">
  import { drill as says } from '$core/words/screen/drill';
  import { resolve } from '$core/plan/resolved';
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { LESSONS, type Lesson, MOST_LEVEL, type Score } from '$core/trace/drill';
  import { type CauseCode } from '$core/trace/hypotheses';
  import { type Answer, type Ask, isTold } from '$core/trace/infer';
  import type { Suspect, TraceView } from '$core/trace/view';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { causeText, cureOfAsk } from '$core/words/tracing';
  import { earthName } from '$lib/show/grounds/ground-view';
  import GroundMap from '$lib/show/grounds/GroundMap.svelte';
  import WayInWords from '$lib/show/compare/WayInWords.svelte';
  import { play, PLAYED_AT as RATE } from '$lib/show/analyse/play';
  import TraceAsks from '$lib/show/trace/TraceAsks.svelte';
  import TraceReported from '$lib/show/trace/TraceReported.svelte';
  import SoundPicture from '$lib/show/analyse/SoundPicture.svelte';
  import type { Analysis } from '$core/sound/analyse';
  import { heardText } from '$core/words/sound';
  import { type Remote, wrap } from 'comlink';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import DrillEnd from './DrillEnd.svelte';
  import type { DrillApi, DrillRig } from './drill.worker';

  interface Asked {
    readonly ask: Ask;
    readonly minutes: number;
    readonly answer: Answer | null;
    /** The likeliest cause after it, as evidence has it. */
    readonly after: Suspect;
  }

  let api = $state.raw<Remote<DrillApi>>();
  let rig = $state.raw<DrillRig | null>(null);
  let view = $state.raw<TraceView | null>(null);
  let asked = $state.raw<readonly Asked[]>([]);
  let end = $state.raw<{ score: Score; hidden: Pick<Suspect, 'id' | 'of'> & { code: string }; told: string } | null>(
    null
  );
  let busy = $state(false);
  let seed = $state(1);
  let level = $state(1);
  let lesson = $state<Lesson | null>(LESSONS[0].code);
  let naming = $state(false);
  let heard = $state.raw<Analysis | null>(null);
  let ring = $state<string | null>(null);
  let chassis = $state<string | null>(null);
  let best = $state.raw<Readonly<Record<string, number>>>({});

  const line = $derived(rig ? resolve(rig.plan).lines.find((l) => l.id === rig!.lineId)! : null);
  const name = (s: { code: string; of: string | null }): string =>
    rig && line ? causeText(rig.plan, line, { code: s.code as CauseCode, of: s.of }) : '';
  const minutes = $derived(asked.reduce((sum, a) => sum + a.minutes, 0));
  const KEPT = 'guanxi-drill';
  const key = $derived(lesson ?? `${level}-${seed}`);

  onMount(() => {
    const worker = new Worker(new URL('./drill.worker.ts', import.meta.url), { type: 'module' });
    api = wrap<DrillApi>(worker);
    try {
      best = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Record<string, number>;
    } catch {
      // Nothing kept, or nothing that can be read.
    }
    const { searchParams } = page.url;
    const given = Number(searchParams.get('seed'));
    if (Number.isInteger(given) && given > 0)
      [seed, level, lesson] = [
        Math.min(given, 1e6),
        Math.min(Math.max(Number(searchParams.get('level')) || 1, 1), MOST_LEVEL),
        null
      ];
    else lesson = LESSONS.find((l) => !(l.code in best))?.code ?? null;
    void begin();
    return () => worker.terminate();
  });

  async function begin(): Promise<void> {
    if (!api) return;
    busy = true;
    [rig, view, asked, end, naming, heard, ring, chassis] = [null, null, [], null, false, null, null, null];
    rig = await api.begin(seed, level, lesson);
    view = rig.view;
    busy = false;
    replaceState(lesson ? '/drill' : `/drill?seed=${seed}&level=${level}`, {});
  }
  async function ask(what: Ask, takes: number): Promise<void> {
    if (!api || busy) return;
    busy = true;
    const answer = await api.ask(what);
    const answers = [...asked.flatMap((a) => a.answer ?? []), ...(answer ? [answer] : [])];
    const skipped = [...asked, { ask: what, answer }].filter((a) => !a.answer).map((a) => a.ask);
    view = await api.view(answers, skipped);
    asked = [...asked, { ask: what, minutes: takes, answer, after: view.suspects[0] }];
    busy = false;
  }
  /** Hears a noise, and looks at what is in it: the same picture as of any recording. */
  async function hear(noise: { samples: Float32Array; found: Analysis } | null | undefined): Promise<void> {
    if (!noise) return;
    heard = noise.found;
    if (!(await play(() => noise.samples, RATE))) toast(says.noSoundCanBePlayedHere);
  }
  const listen = async (): Promise<void> => hear(await api?.listen(RATE));
  /** What is heard while a test is done: beside the noise as it is, at the same gain. */
  const listenAfter = async (what: Ask): Promise<void> => hear(await api?.listenAfter(what, RATE));
  const numberOf = (of: Lesson): number => LESSONS.findIndex((l) => l.code === of) + 1;
  async function tell(s: Suspect): Promise<void> {
    if (!api) return;
    const done = await api.finish(
      asked.map(({ minutes, answer }) => ({ minutes, answer })),
      s.id
    );
    end = { ...done, told: s.id };
    if ((best[key] ?? -1) < done.score.points) best = { ...best, [key]: done.score.points };
    try {
      localStorage.setItem(KEPT, JSON.stringify(best));
    } catch {
      // A browser that keeps nothing drills all the same.
    }
    window.scrollTo({ top: 0 });
  }
  /** The next lesson; behind the last of them other rigs, harder when this one was found. */
  function next(): void {
    const at = LESSONS.findIndex((l) => l.code === lesson);
    if (lesson && at < LESSONS.length - 1) lesson = LESSONS[at + 1].code;
    else if (lesson) [lesson, seed, level] = [null, 1, 1];
    else
      [seed, level] = [seed + 1, end?.score.right && end.score.points >= 60 ? Math.min(level + 1, MOST_LEVEL) : level];
    void begin();
  }
  function choose(of: Lesson | null): void {
    lesson = of;
    void begin();
  }
  async function share(): Promise<void> {
    try {
      await navigator.clipboard.writeText(location.href);
      toast(says.theAddressOfThisRigIs);
    } catch {
      toast(says.itsAddress(location.href));
    }
  }
  const dbu = (v: number): string => `${formatNumber(v)}\u202FdBu`;
  /** Tests in the order of the list, asked ones left out. */
  const open = $derived((view?.questions ?? []).toSorted((a, b) => a.minutes - b.minutes));
  const suspects = $derived((rig?.view.suspects ?? []).toSorted((a, b) => name(a).localeCompare(name(b))));
</script>

<main class="mx-auto max-w-[980px] px-5 py-5 max-sm:px-3.5">
  <div class="flex flex-wrap items-end justify-between gap-3">
    <div>
      <h1 class="text-[1.6em] leading-tight font-bold">{says.drill}</h1>
      <p class="text-quiet">{says.aRigThatIsNotThere}</p>
    </div>
    {#if !lesson}
      <div class="flex items-center gap-2">
        <label class="flex items-center gap-2 text-quiet"
          >{says.rig}
          <input
            type="number"
            class="num input w-24 input-sm"
            min="1"
            max="1000000"
            bind:value={seed}
            onchange={() => void begin()}
          /></label
        >
        <label class="flex items-center gap-2 text-quiet"
          >{says.level}
          <select class="select w-20 select-sm" bind:value={level} onchange={() => void begin()}>
            {#each { length: MOST_LEVEL } as _, k (k)}<option value={k + 1}>{k + 1}</option>{/each}
          </select></label
        >
        <button type="button" class="btn btn-sm" onclick={() => void share()}>{says.share}</button>
      </div>
    {/if}
  </div>
  <nav class="mt-3 flex gap-1.5 overflow-x-auto pb-1" aria-label={says.drills}>
    {#each LESSONS as l, k (l.code)}
      <button
        type="button"
        class="btn min-h-11 btn-sm {lesson === l.code ? 'btn-primary' : ''}"
        aria-current={lesson === l.code ? 'true' : undefined}
        onclick={() => choose(l.code)}
        >{k + 1}{best[l.code] ? ` · ${best[l.code]}` : ''}<span class="sr-only">{says.ofTheCourse(LESSONS.length)}</span
        ></button
      >
    {/each}
    <button type="button" class="btn min-h-11 btn-sm {lesson ? '' : 'btn-primary'}" onclick={() => choose(null)}
      >{says.anyRig}</button
    >
  </nav>

  {#if !rig || !line || !view}
    <p class="py-14 text-center text-quiet" aria-live="polite">{says.settingUpARig}</p>
  {:else}
    <div class="mt-3 grid gap-x-10 gap-y-6 md:grid-cols-[1fr_1fr]">
      <section>
        <h2 class="text-[1.3em] font-bold">
          {lesson
            ? says.rigOfTheCourse(numberOf(lesson), LESSONS.length, line.info?.name ?? '')
            : says.rigLevel(seed, level)}
        </h2>
        <p class="pt-1 pb-2 leading-snug">
          <strong>{line.info?.name}</strong>
          {says.makesANoiseThatWasNot(
            Object.values(rig.plan.supplies)
              .map((s) => `${s.name} ${formatQuantity('voltage', s.emf, 2)}${s.dimmers ? says.dimmers : ''}`)
              .join('; '),
            rig.plan.supplies[rig.plan.hosts.desk.supply ?? '']?.name
          )}
        </p>
        <WayInWords plan={rig.plan} {line} />
        <p class="pt-1 text-quiet">
          {says.itReads} <span class="num text-base-content" data-reads>{dbu(rig.reads)}</span>
          {says.atTheInputWeightedByThe} <span class="num">{dbu(rig.foreseen)}</span>
          {says.wasForeseen}
        </p>
        <button type="button" class="btn mt-2 min-h-12" onclick={() => void listen()}>{says.hearIt}</button>
        {#if heard}
          <p class="pt-2 font-semibold" data-heard={heard.heard[0]?.sound}>{heardText(heard)}</p>
          <SoundPicture found={heard} />
        {/if}
        {#if end}
          <DrillEnd score={end.score} hidden={name(end.hidden)} tests={asked.length} {lesson}>
            {#if end.score.cure}
              {@const cure = end.score.cure}
              <button type="button" class="btn min-h-12" onclick={() => void listenAfter(cure)}
                >{says.hearItCured}</button
              >
            {/if}
            <button type="button" class="btn min-h-12 btn-primary" onclick={next}>{says.next}</button>
            <button type="button" class="btn min-h-12" onclick={() => void begin()}>{says.onceMore}</button>
          </DrillEnd>
        {/if}
        {#if asked.length > 0}
          <TraceReported title={says.whatCameOfItMinutes(formatNumber(minutes, 1))} told={asked} beside={then} />
        {/if}
      </section>
      {#if !end}
        <section>
          {#if naming}
            <div class="flex items-baseline justify-between gap-3">
              <h2 class="text-[1.3em] font-bold">{says.whatIsIt}</h2>
              <button type="button" class="px-2 py-2 text-quiet underline" onclick={() => (naming = false)}
                >{says.tryMoreFirst}</button
              >
            </div>
            <ul class="mt-2 grid gap-1.5">
              {#each suspects as s (s.id)}
                <li>
                  <button
                    type="button"
                    class="btn h-auto min-h-12 w-full justify-start px-4 py-2 text-left font-normal"
                    data-suspect={s.id}
                    onclick={() => void tell(s)}>{name(s)}</button
                  >
                </li>
              {/each}
            </ul>
          {:else}
            <div class="flex items-center justify-between gap-3">
              <h2 class="text-[1.3em] font-bold">{says.whatDoYouDo}</h2>
              <button type="button" class="btn min-h-12 btn-primary" onclick={() => (naming = true)}
                >{says.iKnowWhatItIs}</button
              >
            </div>
            <div class="mt-2">
              <TraceAsks
                questions={open}
                figure={(q) => `${formatNumber(q.minutes, 1)} min`}
                disabled={busy}
                onpick={(what, takes) => void ask(what, takes)}
              />
            </div>
          {/if}
        </section>
      {/if}
    </div>
    <details class="mt-5">
      <summary class="min-h-12 cursor-pointer py-3 font-semibold">{says.itsEarthsAsPlanned}</summary>
      <GroundMap
        plan={rig.plan}
        map={rig.map}
        {ring}
        point={chassis}
        nameOf={(id) => earthName(rig!.plan, rig!.map, id)}
        onring={(key) => (ring = ring === key ? null : key)}
        onpoint={(id) => (chassis = chassis === id ? null : id)}
      />
    </details>
  {/if}
</main>

{#snippet then(k: number)}
  {#if asked[k].answer && !isTold(asked[k].ask)}
    <button
      type="button"
      class="min-h-8 px-1.5 text-[0.93em] underline"
      aria-label={says.hearItAfter(cureOfAsk(asked[k].ask))}
      onclick={() => void listenAfter(asked[k].ask)}>{says.hearItWithThis}</button
    >
  {/if}
  {#if end}<span class="block text-[0.93em] text-quiet"
      >{says.thenLikeliest(formatNumber(asked[k].after.share * 100), name(asked[k].after))}</span
    >{/if}
{/snippet}
