<script lang="ts">
  import { type Cause, grouped } from '$core/check/cause';
  import { expectedOf } from '$core/check/expected';
  import { cautionsOf, type Step, stepsOf } from '$core/check/gates';
  import { type Content, CONTENTS, HUM_WORDS, humWord, type HumWord } from '$core/check/hum';
  import type { Reading } from '$core/check/reading';
  import type { VenueLine } from '$core/check/venue';
  import { placeOf } from '$core/paper/patch';
  import { type Line, traceLines } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
  import { CAUTION_TEXTS, CONTENT_TEXTS, differenceText, HUM_TEXTS, sureText } from '$core/words/check';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import CheckGates from './CheckGates.svelte';
  import CheckList from './CheckList.svelte';
  import CheckPhotos from './CheckPhotos.svelte';
  import {
    checkable,
    gainOff,
    humOff,
    isOff,
    type Order,
    orderOf,
    type Standing,
    STANDING_COLOURS,
    standingOf
  } from './check-state';
  import { useShow } from './context';
  import { lineName } from './edits';
  import GainBand from './GainBand.svelte';
  import type { PhotoOf, Read } from './read';
  import { shrink } from './picture';
  import { Readings } from './readings.svelte';
  import WayInWords from './WayInWords.svelte';

  const { readings: sent, photos }: { readings: readonly Read[]; photos: readonly PhotoOf[] } = $props();

  const show = useShow();
  const plan = $derived(show.session.plan);
  const reports = $derived(show.judging?.reports ?? new Map());
  const readings = untrack(() => new Readings(show.id, sent, photos));

  let practice = $state(false);
  let seed = $state(1);
  let venue = $state.raw<readonly VenueLine[] | null>(null);
  let order = $state<Order>('channel');
  let currentId = $state<string | null>(null);
  let listed = $state(false);
  /** What is being read, before it is done. */
  let gainDb = $state<number | null>(null);
  let hum = $state<HumWord | null>(null);
  let content = $state<Content | null>(null);
  let note = $state('');
  let touched = $state(false);
  let noting = $state(false);
  let passed = $state.raw<ReadonlySet<Step>>(new Set());
  let causes = $state.raw<readonly Cause[] | null>(null);

  const all = $derived(checkable(plan, traceLines(plan), reports));
  const expected = $derived(new Map(all.map((l) => [l.id, expectedOf(plan, l, reports.get(l.id)!)])));
  const standing = (l: Line): Standing => standingOf(expected.get(l.id)!, readings.of(l.id, practice));
  // Order is taken anew when it is chosen or a line is left, not while one is being read.
  const lines = $derived(orderOf(all, order, (l) => placeOf(plan, l), standing));
  const line = $derived(lines.find((l) => l.id === currentId) ?? lines[0]);
  const at = $derived(line ? lines.indexOf(line) : -1);
  const before = $derived(line ? readings.of(line.id, practice) : undefined);
  const hope = $derived(line ? expected.get(line.id)! : null);
  const steps = $derived(line ? stepsOf(plan, line).filter((s) => s !== 'gain-set') : []);
  const cautions = $derived(line ? cautionsOf(plan, line) : []);
  const next = $derived(
    lines.find((l, k) => k > at && standing(l) !== 'right') ?? lines.find((l) => l !== line && standing(l) === 'open')
  );
  const nameOf = (id: string): string => plan.lines[id]?.name ?? id;
  const off = $derived(hope ? isOff(hope, { gainDb: touched ? gainDb : null, hum, content }) : false);
  const over = $derived(hope ? gainOff(hope, touched ? gainDb : null) : 0);
  const done = $derived(lines.filter((l) => ['right', 'off'].includes(standing(l))).length);

  const KEY = $derived(`guanxi-check-${show.id}`);
  onMount(() => {
    // A phone that was put away wakes where it was.
    try {
      const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as { line?: string; order?: Order };
      if (kept.line) currentId = kept.line;
      if (kept.order) order = kept.order;
    } catch {
      // Nothing kept, or nothing that can be read.
    }
    void readings.open();
    return () => readings.close();
  });

  // Another line, or another desk: what was read of it before is where one goes on from.
  let shown = '';
  $effect(() => {
    const key = line ? `${line.id} ${practice} ${seed}` : '';
    if (key === untrack(() => shown)) return;
    shown = key;
    untrack(() => take(before));
  });
  function take(r: Read | undefined): void {
    gainDb = r?.gainDb ?? null;
    hum = r && typeof r.hum === 'number' ? humWord(r.hum) : ((r?.hum ?? null) as HumWord | null);
    content = r?.content ?? null;
    note = r?.note ?? '';
    touched = r?.gainDb !== null && r !== undefined;
    noting = note !== '';
    passed = new Set();
    causes = null;
    if (line)
      try {
        localStorage.setItem(KEY, JSON.stringify({ line: line.id, order }));
      } catch {
        // A browser that keeps nothing checks lines all the same.
      }
  }

  // What is other than planned is explained by solving what it may be; the newest question counts.
  let asked = 0;
  $effect(() => {
    if (!line || !off || !show.judging) {
      causes = null;
      return;
    }
    const turn = ++asked;
    const reading = { gainDb: touched ? gainDb : null, hum, content };
    void show.judging
      .explain(plan, line.id, reading)
      .then((found) => turn === asked && (causes = found))
      .catch(() => turn === asked && (causes = []));
  });

  $effect(() => {
    if (!practice || !show.judging) return;
    const of = seed;
    void show.judging.venue(plan, of).then((v) => of === seed && (venue = v));
  });

  const step = (by: number): void => {
    gainDb = Math.min(Math.max((gainDb ?? Math.round(hope?.gain?.usual ?? 0)) + by, -40), 100);
    touched = true;
  };
  const made = (isDone: boolean): Reading => ({
    id: crypto.randomUUID(),
    lineId: line!.id,
    at: new Date().toISOString(),
    gainDb: touched ? gainDb : null,
    hum,
    content,
    done: isDone,
    note: note.trim().slice(0, 500),
    practice
  });
  const changed = $derived(
    touched !== (before?.gainDb !== null && before !== undefined) ||
      (touched && gainDb !== before?.gainDb) ||
      hum !== (before?.hum ?? null) ||
      content !== (before?.content ?? null) ||
      note.trim() !== (before?.note ?? '')
  );
  function go(to: Line | undefined): void {
    listed = false;
    if (to) currentId = to.id;
    window.scrollTo({ top: 0 });
  }
  async function finish(): Promise<void> {
    if (!line) return;
    const to = next;
    const here = line;
    await readings.add(made(true));
    if (practice) {
      const truth = venue?.find((v) => v.lineId === here.id)?.hidden;
      if (truth) toast(`${lineName(here)}: ${differenceText(truth, nameOf)}.`);
    }
    go(to);
  }
  /** What has been read so far is kept, though the line is not finished with. */
  async function leave(to: Line | undefined): Promise<void> {
    if (line && changed) await readings.add(made(false));
    go(to);
  }
  let picker = $state<HTMLInputElement>();
  async function addPhoto(file: File | undefined): Promise<void> {
    if (picker) picker.value = '';
    if (!file || !line) return;
    const { id } = line;
    const data = await shrink(file).catch(() => null);
    if (data) await readings.addPhoto(id, data);
    else toast.error('That is no picture that can be read here. Try another.');
  }
  function readStandIn(): void {
    const v = venue?.find((l) => l.lineId === line?.id);
    if (!v) return;
    gainDb = v.reading.gainDb;
    touched = v.reading.gainDb !== null;
    hum = (v.reading.hum ?? null) as HumWord | null;
    content = v.reading.content;
  }
  const db = (value: number): string => formatNumber(value);
</script>

<main class="mx-auto max-w-[560px] px-4 pt-3 pb-32">
  <h1 class="sr-only">{show.name}: line check</h1>
  {#if all.length === 0}
    <p class="py-16 text-center text-quiet">
      {#if Object.keys(plan.lines).length === 0}No lines yet, so there is nothing to check.
        <a class="text-primary underline" href="/show/{show.id}">Say one</a>.
      {:else}Computing what to expect …{/if}
    </p>
  {:else if line && hope}
    <div class="flex items-center justify-between text-quiet">
      <button type="button" class="min-h-12 underline" aria-expanded={listed} onclick={() => (listed = !listed)}
        >{listed ? 'Back to the line' : 'All lines'}</button
      >
      <span class="num" data-progress>{done} of {lines.length} done</span>
    </div>
    <div class="flex gap-[3px] pb-3" role="img" aria-label="{done} of {lines.length} lines done">
      {#each lines as l (l.id)}
        <span
          class="h-1.5 flex-1 rounded-full {STANDING_COLOURS[standing(l)]} {l === line
            ? 'outline-2 outline-base-content'
            : ''}"
        ></span>
      {/each}
    </div>
    {#if readings.waiting > 0}
      <p class="pb-2 text-warning" role="status">
        {readings.waiting}
        {readings.waiting === 1 ? 'reading or picture waits' : 'readings and pictures wait'} for the network; kept on this
        device until then.
      </p>
    {/if}
    {#if listed}
      <CheckList
        {lines}
        current={line}
        {standing}
        readingOf={(l) => readings.of(l.id, practice)}
        {order}
        {practice}
        {seed}
        onorder={(by) => (order = by)}
        onpractice={(on) => (practice = on)}
        onseed={(n) => (seed = n)}
        onpick={(l) => void leave(l)}
      />
    {:else}
      <h2 class="text-[1.9em] leading-tight font-bold" data-line-name>{lineName(line)}</h2>
      <p class="pb-2 text-quiet">
        {line.info?.channel ? `Channel ${line.info.channel}` : 'No channel'} · {placeOf(plan, line)}{practice
          ? ` · stand-in ${seed}`
          : ''}
      </p>
      <WayInWords {plan} {line} />
      {#each cautions as c (c)}
        <p
          class="mt-2 rounded-[9px] px-3 py-2 leading-snug {c === 'tingle'
            ? 'border border-base-300 text-quiet'
            : 'border-2 border-danger'}"
          role="note"
        >
          {CAUTION_TEXTS[c]}
        </p>
      {/each}
      <CheckGates {steps} {passed} onpass={(now) => (passed = now)} />
      {#if practice}
        <button
          type="button"
          class="btn mt-2 min-h-12 w-full"
          disabled={!venue || !steps.every((s) => passed.has(s))}
          onclick={readStandIn}
          >{steps.every((s) => passed.has(s)) ? 'Read it off' : 'Steps first, then read it off'}</button
        >
      {/if}
      {#if hope.gain}
        <div class="mt-3 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3">
          <div>
            <p class="font-semibold">Gain at the loudest playing</p>
            <p class="text-quiet" data-expected>expected {db(hope.gain.from)} to {db(hope.gain.to)} dB</p>
          </div>
          <div class="flex items-center gap-2">
            <button type="button" class="btn size-14 text-[1.4em]" aria-label="Gain down 1 dB" onclick={() => step(-1)}
              >−</button
            >
            <output class="num w-14 text-center text-[1.5em] {touched ? '' : 'text-quiet'}" data-gain
              >{gainDb === null ? '–' : db(gainDb)}</output
            >
            <button type="button" class="btn size-14 text-[1.4em]" aria-label="Gain up 1 dB" onclick={() => step(1)}
              >+</button
            >
          </div>
        </div>
        <GainBand expected={hope.gain} read={touched ? gainDb : null} />
      {/if}
      <div
        class="mt-2 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3 max-[420px]:grid-cols-1"
      >
        <div>
          <p class="font-semibold">Hum</p>
          <p class="text-quiet">
            {hope.humBelow === null ? 'not foreseen' : `expected ${HUM_TEXTS[humWord(hope.humBelow)]}`}
          </p>
        </div>
        <div class="flex gap-2" role="group" aria-label="Hum">
          {#each HUM_WORDS as w (w)}
            <button
              type="button"
              class="btn min-h-12 flex-1 {hum === w ? 'btn-primary' : ''}"
              aria-pressed={hum === w}
              onclick={() => (hum = hum === w ? null : w)}>{HUM_TEXTS[w]}</button
            >
          {/each}
        </div>
      </div>
      <div class="mt-2 border-t border-base-300 pt-3">
        <p class="pb-1 font-semibold">Comes out</p>
        <div class="grid grid-cols-4 gap-2 max-[420px]:grid-cols-2" role="group" aria-label="Comes out">
          {#each CONTENTS as c (c)}
            <button
              type="button"
              class="btn min-h-12 px-1 {content === c ? 'btn-primary' : ''}"
              aria-pressed={content === c}
              onclick={() => (content = content === c ? null : c)}>{CONTENT_TEXTS[c]}</button
            >
          {/each}
        </div>
      </div>
      {#if off}
        <section
          class="mt-3 rounded-[9px] border-l-4 border-warning bg-base-200 px-3 py-2 leading-snug"
          aria-live="polite"
          data-explained
        >
          {#if over !== 0}
            <p class="font-semibold">
              {db(Math.abs(over))} dB {over > 0 ? 'more' : 'less'} gain than expected.
            </p>
          {/if}
          {#if humOff(hope, hum)}<p class="font-semibold">More hum than foreseen.</p>{/if}
          {#if causes === null}
            <p class="text-quiet">Solving what it may be …</p>
          {:else}
            <ul>
              {#each grouped(causes)
                .filter((c) => c.share >= 0.08)
                .slice(0, 3) as c, k (k)}
                <li class="py-0.5" data-cause={c.what.code}>
                  {differenceText(c.what, nameOf)} <span class="text-quiet">({sureText(c)})</span>
                </li>
              {/each}
            </ul>
          {/if}
        </section>
      {/if}
      <div class="mt-3 grid grid-cols-2 gap-2 border-t border-base-300 pt-3">
        <button type="button" class="btn min-h-12" aria-pressed={noting} onclick={() => (noting = !noting)}>Note</button
        >
        <button type="button" class="btn min-h-12" onclick={() => picker?.click()}>Photo</button>
        <input
          bind:this={picker}
          type="file"
          accept="image/*"
          capture="environment"
          class="hidden"
          aria-label="Picture of {lineName(line)}"
          onchange={(e) => void addPhoto(e.currentTarget.files?.[0])}
        />
      </div>
      {#if noting}
        <label class="mt-3 block">
          <span class="font-semibold">Note</span>
          <textarea class="textarea mt-1 w-full" rows="3" maxlength="500" bind:value={note}></textarea>
        </label>
      {/if}
      <CheckPhotos
        showId={show.id}
        photos={readings.photos.filter((p) => p.lineId === line.id)}
        lineName={lineName(line)}
      />
      {#if before}
        <p class="pt-3 text-quiet" data-before>
          Read before{before.by ? ` by ${before.by}` : ''}, {new Date(before.at).toLocaleString([], {
            dateStyle: 'medium',
            timeStyle: 'short'
          })}{before.gainDb === null ? '' : `: ${db(before.gainDb)} dB`}.
        </p>
      {/if}
    {/if}
    {#if !listed}
      <div class="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-100">
        <div class="mx-auto flex max-w-[560px] gap-2 px-4 py-3">
          <button
            type="button"
            class="btn min-h-14"
            disabled={at <= 0}
            aria-label="The line before"
            onclick={() => void leave(lines[at - 1])}>‹</button
          >
          <button type="button" class="btn min-h-14" onclick={() => void leave(lines[at + 1] ?? lines[0])}>Skip</button>
          <button
            type="button"
            class="btn min-h-14 min-w-0 flex-1 flex-col gap-0 btn-primary"
            onclick={() => void finish()}
            ><span>Done</span><span class="max-w-full truncate text-[0.86em] font-normal"
              >{next ? `next: ${lineName(next)}` : 'that was all'}</span
            ></button
          >
        </div>
      </div>
    {/if}
  {/if}
</main>
