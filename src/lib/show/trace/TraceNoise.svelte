<script lang="ts">
  import { serverNow } from '$lib/live/clock';
  import { trace as says } from '$core/words/screen/trace';
  import { resolve } from '$core/plan/resolved';
  import { page } from '$app/state';
  import { heardIn } from '$lib/protocol/heard-sound';
  import { SPREADS } from '$core/trace/first-answers';
  import { type Answer, type Ask, isTold, TOLD_ASKS, type Word } from '$core/trace/infer';
  import type { Suspect, TraceView } from '$core/trace/view';
  import { isComplete } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
  import { faultyPart } from '$core/trace/faulty-part';
  import { partText } from '$core/words/check';
  import { causeText } from '$core/words/tracing';
  import { uuid } from '$lib/uuid';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { MOST_BESIDES, MOST_SECONDS, type TraceRecord } from '$lib/protocol/trace-record';
  import type { ProbeId } from '$core/trace/probes';
  import { type Found, TraceLog } from './trace-log.svelte';
  import { FailedUnits } from '$lib/show/faulty/failed-units.svelte';
  import StopButton from '$lib/show/session/StopButton.svelte';
  import TraceAsks from './TraceAsks.svelte';
  import TraceOpening from './TraceOpening.svelte';
  import TraceQuestion from './TraceQuestion.svelte';
  import TraceSuspects from './TraceSuspects.svelte';
  import TraceReported from './TraceReported.svelte';
  import TraceStart from './TraceStart.svelte';
  import TraceVerdict from './TraceVerdict.svelte';

  const { traces: kept }: { traces: readonly Found[] } = $props();

  const show = useShow();
  const log = untrack(() => new TraceLog(show.id, kept, show.rows));
  const units = untrack(() => new FailedUnits(show));
  const plan = $derived(show.session.plan);
  const lines = $derived(resolve(plan).lines.filter((l) => isComplete(plan, l)));

  /** What is less likely than this is not written down beside the cause. */
  const LEAST_TOLD = 0.01;

  let lineId = $state<string | null>(null);
  /** When the first question was asked, by the server's clock. */
  let begun = serverNow();
  /** What was asked, in its order; null where it could not be told, or was not done. */
  let steps = $state.raw<readonly { readonly ask: Ask; readonly answer: Answer | null }[]>([]);
  /** A test that somebody would rather do than the one that tells most. */
  let instead = $state<Ask | null>(null);
  /** What can be said before anything is tried is asked all at once. */
  let opening = $state(true);
  let ended = $state(false);
  let view = $state.raw<TraceView | null>(null);
  let failed = $state(false);

  const answers = $derived(steps.flatMap((s) => s.answer ?? []));
  const skipped = $derived(steps.flatMap((s) => (s.answer ? [] : [s.ask])));
  const line = $derived(lines.find((l) => l.id === lineId) ?? null);
  const name = (s: Pick<Suspect, 'code' | 'of'>): string => (line ? causeText(plan, line, s) : '');
  const question = $derived(view?.questions.find((q) => q.ask === instead) ?? view?.questions[0] ?? null);
  const [best] = $derived(view?.suspects ?? []);
  const over = $derived(view !== null && (ended || view.done !== null || !question));

  const KEY = $derived(`guanxi-trace-${show.id}`);
  onMount(() => {
    // A phone that was put away wakes where it was; what was heard elsewhere comes as an answer.
    try {
      const state = JSON.parse(localStorage.getItem(KEY) ?? '{}') as {
        line?: string;
        steps?: typeof steps;
        opening?: boolean;
        begun?: number;
      };
      if (state.line) [lineId, steps, opening] = [state.line, state.steps ?? [], state.opening ?? true];
      begun = state.begun ?? begun;
    } catch {
      // Nothing kept, or nothing that can be read.
    }
    const asked = page.url.searchParams.get('line');
    const sound = heardIn(page.url.searchParams.get('sound'));
    if (asked && asked !== lineId) begin(asked);
    if (sound) say('sound', { ask: 'sound', ...sound });
    const spread = SPREADS.find((s) => s === page.url.searchParams.get('lines'));
    if (spread) say('lines', { ask: 'lines', is: spread });
    void log.open(show.feed);
    units.open();
    return () => {
      log.close();
      units.close();
    };
  });
  $effect(() => void (show.at = lineId));
  $effect(() => {
    try {
      if (lineId) localStorage.setItem(KEY, JSON.stringify({ line: lineId, steps, opening, begun }));
      else localStorage.removeItem(KEY);
    } catch {
      // A browser that keeps nothing traces all the same.
    }
  });

  let turn = 0;
  $effect(() => {
    const now = ++turn;
    if (!lineId) view = null;
    else
      void show.judging
        ?.trace(plan, lineId, [...answers], [...skipped])
        .then((found) => now === turn && ((view = found), (failed = found === null)))
        .catch(() => now === turn && (failed = true));
  });

  function begin(id: string | null): void {
    lineId = id;
    begun = serverNow();
    steps = [];
    instead = null;
    opening = true;
    ended = false;
    failed = false;
    view = null;
    window.scrollTo({ top: 0 });
  }
  /** @param is null where it could not be told */
  function take(ask: Ask, is: Word | null): void {
    steps = [...steps, { ask, answer: is === null ? null : ({ ask, is } as Answer) }];
    instead = null;
    window.scrollTo({ top: 0 });
  }
  /** What can be said at once: an answer in the place of an earlier one, or none. */
  function say(ask: Ask, answer: Answer | null): void {
    const others = steps.filter((s) => s.ask !== ask);
    steps = answer === null ? others : [...others, { ask, answer }];
  }
  /** What was left out is not asked again, but for the other lines: those can be listened to. */
  function go(): void {
    const left = TOLD_ASKS.filter((ask) => ask !== 'lines' && !steps.some((s) => s.ask === ask));
    steps = [...steps, ...left.map((ask) => ({ ask, answer: null }))];
    opening = false;
    window.scrollTo({ top: 0 });
  }
  function back(): void {
    if (ended) ended = false;
    else if (steps.every((s) => isTold(s.ask))) [opening, steps] = [true, steps.filter((s) => s.answer)];
    else steps = steps.slice(0, -1);
  }
  /** The device or cable that is faulty where the likeliest cause is so. */
  const part = $derived.by(() => {
    const id = best && faultyPart(best);
    const what = id ? (plan.devices[id] ?? plan.cables[id]) : undefined;
    const text = id && line ? partText(plan, line, id) : null;
    return what && text ? { what, text } : null;
  });
  async function write(cured: ProbeId | null, note: string, faulty: boolean): Promise<void> {
    if (!line || !best || !view) return;
    const [here, gone] = [line, part];
    const record: TraceRecord = {
      id: uuid(),
      lineId: line.id,
      at: new Date(serverNow()).toISOString(),
      answers: [...answers],
      cause: name(best),
      share: best.share,
      note,
      skipped: [...skipped],
      besides: view.suspects
        .slice(1, 1 + MOST_BESIDES)
        .filter((s) => s.share >= LEAST_TOLD)
        .map((s) => ({ cause: name(s), share: s.share })),
      cured,
      seconds: Math.min(Math.round((serverNow() - begun) / 1000), MOST_SECONDS)
    };
    if (!show.mayChange) return void toast.error(says.youMayLookAtThisShow);
    await log.write(record);
    toast(says.writtenInTheLogOfThis);
    begin(null);
    if (faulty && gone) units.fail(gone.what, here, gone.text);
  }
</script>

<main class="mx-auto max-w-[980px] px-4 pt-3 pb-28">
  <h1 class="sr-only">{says.traceANoise(show.name)}</h1>
  {#if !line}
    <TraceStart {lines} found={log.list} onpick={begin} />
  {:else}
    <div class="flex items-center justify-between gap-3 pb-2">
      <p class="min-w-0 truncate">
        <span class="font-bold">{lineName(line)}</span>
        <span class="text-quiet max-sm:hidden">{says.answered(answers.length)}</span>
      </p>
      <div class="flex gap-1">
        <button type="button" class="btn min-h-12 btn-ghost px-2.5" disabled={opening} onclick={back}
          >{says.back}</button
        >
        <button type="button" class="btn min-h-12 btn-ghost px-2.5" onclick={() => begin(null)}
          >{says.anotherLine}</button
        >
      </div>
    </div>
    {#if failed}
      <p class="py-10 text-center" role="alert">
        {says.thisLineCannotBeSolvedAs}
        <a class="underline" href="/show/{show.id}?line={line.id}">{says.onTheBoard}</a>.
      </p>
    {:else if !view}
      <p class="py-10 text-center text-quiet" aria-live="polite">{says.solvingWhatItMayBe}</p>
    {:else}
      <div class="grid gap-x-10 gap-y-6 md:grid-cols-[1.3fr_1fr]">
        <div>
          {#if opening}
            <TraceOpening
              told={view.told}
              {answers}
              mainsHz={plan.policy.mainsHz}
              onsay={(ask, is) => say(ask, is === null ? null : ({ ask, is } as Answer))}
              ongo={go}
            />
          {:else if over && best}
            <TraceVerdict
              {view}
              {best}
              name={name(best)}
              lineId={line.id}
              ongoon={ended && view.questions.length > 0 ? () => (ended = false) : null}
              part={show.mayChange ? (part?.text ?? null) : null}
              onwrite={(cured, note, faulty) => void write(cured, note, faulty)}
            />
          {:else if question}
            {#key question.ask}
              <TraceQuestion
                {question}
                {name}
                onanswer={(is) => take(question.ask, is)}
                onskip={() => take(question.ask, null)}
              />
            {/key}
            <details class="mt-4">
              <summary class="min-h-12 cursor-pointer py-3 text-quiet">{says.somethingElseOrEnough}</summary>
              <TraceAsks
                questions={view.questions.filter((q) => q.ask !== question.ask)}
                figure={(q) => `${formatNumber(q.bits, 1)} bit`}
                onpick={(ask) => (instead = ask)}
              />
              <button type="button" class="btn mt-2 min-h-12 w-full" onclick={() => (ended = true)}
                >{says.enoughWhatIsIt}</button
              >
            </details>
          {/if}
        </div>
        <div>
          <TraceSuspects
            suspects={view.suspects}
            {name}
            noise={(id, rate) => show.judging!.suspectNoise(id, rate)}
            listen="/show/{show.id}/listen?line={line.id}&with=faults"
          />
          {#if answers.length > 0}
            <TraceReported title={says.toldSoFar} told={steps.filter((s) => s.answer)} />
          {/if}
        </div>
      </div>
    {/if}
    <div class="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-100">
      <div class="mx-auto max-w-[980px] px-4 py-2.5">
        <StopButton line={line.id} />
      </div>
    </div>
  {/if}
</main>
{#if units.which}
  {#await import('$lib/show/faulty/WhichUnit.svelte') then { default: WhichUnit }}<WhichUnit failed={units} />{/await}
{/if}
