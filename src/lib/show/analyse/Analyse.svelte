<script lang="ts">
  import { analyse as says } from '$core/words/screen/analyse';
  import { resolve } from '$core/plan/resolved';
  import { isComplete } from '$core/plan/lines';
  import type { Analysis } from '$core/sound/analyse';
  import { exampleOf } from '$core/sound/examples';
  import { SOUNDS, type Sound } from '$core/trace/hypotheses';
  import { formatHz, formatNumber } from '$core/units/format';
  import { heardText, recordingNotes, toneText, wavFaultText } from '$core/words/sound';
  import { SOUND_TEXTS } from '$core/words/tracing';
  import { proxy, wrap } from 'comlink';
  import { onMount } from 'svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { decoded } from './decode';
  import { evidenceOf } from '$lib/protocol/heard-sound';
  import type { FileHeard, AnalyseApi } from './analyse.worker';
  import { record, type Recording } from './microphone';
  import SoundPicture from './SoundPicture.svelte';

  const show = useShow();
  const plan = $derived(show.session.plan);
  const lines = $derived(resolve(plan).lines.filter((l) => isComplete(plan, l)));

  let name = $state('');
  let share = $state<number | null>(null);
  let found = $state.raw<Analysis | null>(null);
  let wrong = $state<string | null>(null);
  let recording = $state.raw<Recording | null>(null);
  let seconds = $state(0);
  let over = $state(false);
  let made = $state<Sound>('buzz');
  let lineId = $state('');
  /** What was taken from a file: kept to listen to another channel of it. */
  let file = $state.raw<{ readonly name: string; readonly bytes: ArrayBuffer } | null>(null);
  let of = $state.raw<FileHeard['of'] | null>(null);
  let picker: HTMLInputElement;
  let worker: Worker | null = null;

  /** More than this is no recording of a noise, bytes. */
  const MOST_BYTES = 700e6;
  const MADE_RATE = 48_000;
  const MADE_SECONDS = 8;

  onMount(() => () => worker?.terminate());

  /** Runs something beside the page; a newer run ends an older one. */
  async function run(
    what: string,
    work: (api: ReturnType<typeof wrap<AnalyseApi>>, told: (s: number) => void) => Promise<Analysis | null>
  ): Promise<void> {
    cancel();
    const own = (worker = new Worker(new URL('./analyse.worker.ts', import.meta.url), { type: 'module' }));
    [name, found, wrong, share, of] = [what, null, null, 0, null];
    try {
      const result = await work(
        wrap<AnalyseApi>(own),
        proxy((s: number) => own === worker && (share = s)) as (s: number) => void
      );
      if (own === worker) found = result;
    } catch {
      if (own === worker) wrong = says.thisRecordingCouldNotBeAnalysed;
    }
    if (own !== worker) return;
    share = null;
    own.terminate();
    worker = null;
  }
  function cancel(): void {
    worker?.terminate();
    worker = null;
    share = null;
  }
  async function take(taken: File | undefined): Promise<void> {
    picker.value = '';
    if (!taken) return;
    if (taken.size > MOST_BYTES) {
      wrong = says.thatFileIsLargerThan700;
      return;
    }
    file = { name: taken.name, bytes: await taken.arrayBuffer() };
    await hear(0);
  }
  /** Listens to a channel of the file, from 1; 0 for all together. What is no WAV is decoded by the browser first. */
  async function hear(channel: number): Promise<void> {
    if (!file) return;
    let { bytes } = file;
    const { name: called } = file;
    await run(called, async (api, told) => {
      let read = await api.file(bytes, channel, told);
      if (!read.ok && (read.fault.code === 'not-wav' || read.fault.code === 'compressed')) {
        const plain = await decoded(bytes.slice(0));
        if (plain) {
          file = { name: called, bytes: (bytes = plain) };
          read = await api.file(bytes, channel, told);
        }
      }
      if (read.ok) {
        ({ of } = read);
        return read.found;
      }
      wrong = wavFaultText(read.fault);
      return null;
    });
  }
  async function listen(): Promise<void> {
    if (recording) {
      const { samples, rate } = await recording.stop();
      recording = null;
      if (samples.length < rate / 2) wrong = says.thatWasTooShortHalfA;
      else await run(says.theMicrophone, (api, told) => api.samples(samples, rate, told));
      return;
    }
    [wrong, seconds] = [null, 0];
    try {
      recording = await record((s) => (seconds = s));
    } catch (error) {
      wrong = (error as Error).message;
    }
  }
  const make = (): Promise<void> =>
    run(says.madeHere(SOUND_TEXTS[made]), (api, told) =>
      api.samples(exampleOf(made, plan.policy.mainsHz, MADE_RATE, MADE_SECONDS), MADE_RATE, told)
    );
  /** Harmonics that stand out: the rest is what lies between. */
  const SHOWN_DB = 55;
  const shown = $derived.by(() => {
    const all = found?.mains.harmonics.slice(0, 12) ?? [];
    return all.map((db) => (db > Math.max(...all) - SHOWN_DB ? db : null));
  });
  const dbfs = (v: number): string => `${formatNumber(v)}\u202FdBFS`;
</script>

<main
  class="mx-auto max-w-[980px] px-5 py-5 max-sm:px-3.5"
  ondragover={(e) => (e.preventDefault(), (over = true))}
  ondragleave={() => (over = false)}
  ondrop={(e) => {
    e.preventDefault();
    over = false;
    void take(e.dataTransfer?.files[0]);
  }}
>
  <h1 class="text-[1.5em] leading-tight font-bold">{says.listenToIt}</h1>
  <p class="text-quiet">{says.aRecordingOfTheNoiseAlone}</p>
  <div class="mt-3 flex flex-wrap items-center gap-2 rounded-[9px] {over ? 'outline-2 outline-primary' : ''}">
    <button type="button" class="btn min-h-12 btn-primary" onclick={() => picker.click()}>{says.takeAWavFile}</button>
    <input
      bind:this={picker}
      type="file"
      accept="audio/*,.wav"
      class="hidden"
      aria-label={says.wavFile}
      onchange={(e) => void take(e.currentTarget.files?.[0])}
    />
    <button type="button" class="btn min-h-12" onclick={() => void listen()}
      >{recording ? says.stopS(formatNumber(seconds)) : says.useTheMicrophone}</button
    >
    <span class="text-quiet">{says.orTryItOn}</span>
    <select class="select min-h-12 w-36" aria-label={says.noiseToMake} bind:value={made}>
      {#each SOUNDS as s (s)}<option value={s}>{SOUND_TEXTS[s]}</option>{/each}
    </select>
    <button type="button" class="btn min-h-12" onclick={() => void make()}>{says.makeIt}</button>
  </div>
  {#if wrong}<p class="mt-3 border-l-2 border-error pl-3" role="alert">{wrong}</p>{/if}
  {#if share !== null}
    <div class="mt-6 flex items-center gap-3" role="status">
      <progress class="progress w-60 progress-primary" value={share} max="1" aria-label={says.analysedSoFar}></progress>
      <span class="text-quiet">{says.of(formatNumber(share * 100), name)}</span>
      <button type="button" class="btn btn-sm" onclick={cancel}>{says.cancel}</button>
    </div>
  {:else if found}
    <div class="mt-5 grid gap-x-10 gap-y-6 md:grid-cols-[1.4fr_1fr]" data-heard={found.heard[0]?.sound ?? ''}>
      <section>
        <p class="text-quiet">{says.sAt(name, formatNumber(found.seconds, 1), formatHz(found.rate))}</p>
        <h2 class="pb-2 text-[1.5em] leading-snug font-bold">{heardText(found)}</h2>
        {#if found.mains.hz > 0 && Math.abs(found.mains.hz - plan.policy.mainsHz) > 5}
          <p class="mb-2 border-l-2 border-warning pl-3" role="note">
            {says.thisShowIsPlannedForHz(plan.policy.mainsHz)}
            <a class="underline" href="/show/{show.id}/earth">{says.mainsOfTheShow}</a>
          </p>
        {/if}
        {#if of}
          {#each recordingNotes(of) as note (note)}<p class="mb-2 border-l-2 border-warning pl-3" role="note">
              {note}
            </p>{/each}
          {#if of.channels > 1}
            <label class="mb-2 flex items-center gap-2"
              >{says.channel}
              <select
                class="select min-h-11 w-40"
                value={of.channel}
                onchange={(e) => void hear(Number(e.currentTarget.value))}
              >
                {#if !of.opposite}<option value={0}>{says.allChannels}</option>{/if}
                {#each { length: of.channels } as _, k (k)}<option value={k + 1}>{says.channelN(k + 1)}</option>{/each}
              </select></label
            >
          {/if}
        {/if}
        <SoundPicture {found} />
      </section>
      <section>
        <h2 class="heading border-b border-base-300 pb-1">{says.whatOneHears}</h2>
        <ul>
          {#each found.heard as h (h.sound)}
            <li class="border-b border-base-300 py-1.5">
              <span class="flex justify-between gap-3"
                ><span>{SOUND_TEXTS[h.sound]}</span><span class="num text-quiet">{formatNumber(h.share * 100)} %</span
                ></span
              >
              <span class="mt-1 block h-1.5 rounded-full bg-base-200" aria-hidden="true"
                ><span class="block h-full rounded-full bg-primary" style:width="{h.share * 100}%"></span></span
              >
            </li>
          {/each}
        </ul>
        <dl class="mt-3 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1">
          <dt class="text-quiet">{says.mains}</dt>
          <dd class="num text-right">
            {found.mains.hz > 0 ? says.hz(formatNumber(found.mains.hz, 2)) : says.noneFound}
          </dd>
          {#each shown as level, k (k)}
            {#if level !== null}
              <dt class="text-quiet">{says.harmonic(k + 1)}</dt>
              <dd class="num text-right">{dbfs(level)}</dd>
            {/if}
          {/each}
          {#each found.whines.slice(0, 4) as w (w.hz)}
            <dt class="text-quiet">{says.toneAt(toneText(w.hz))}</dt>
            <dd class="num text-right">{dbfs(w.db)}</dd>
          {/each}
          <dt class="text-quiet">{says.clicks}</dt>
          <dd class="num text-right">{says.aSecond(formatNumber(found.clicks, 1))}</dd>
          <dt class="text-quiet">{says.hiss20HzTo20Khz}</dt>
          <dd class="num text-right">{dbfs(found.hissDb)}</dd>
          <dt class="text-quiet">{says.allOfItItsPeak}</dt>
          <dd class="num text-right">{dbfs(found.rmsDb)}; {dbfs(found.peakDb)}</dd>
        </dl>
        {#if found.heard[0] && lines.length > 0}
          <div class="mt-4 grid gap-2">
            <select class="select min-h-12 w-full" aria-label={says.lineThatMakesIt} bind:value={lineId}>
              <option value="">{says.whichLineMakesIt}</option>
              {#each lines as l (l.id)}<option value={l.id}>{lineName(l)}</option>{/each}
            </select>
            <a
              class="btn min-h-12 btn-primary {lineId ? '' : 'btn-disabled'}"
              aria-disabled={!lineId}
              href={lineId ? `/show/${show.id}/trace?line=${lineId}&${evidenceOf(found)}` : undefined}
              >{says.traceItWithThis}</a
            >
          </div>
        {/if}
      </section>
    </div>
  {:else}
    <p class="mt-8 max-w-[60ch] text-quiet">
      {says.itTellsTheMainsToA}
    </p>
  {/if}
</main>
