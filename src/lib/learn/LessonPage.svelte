<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import { LESSON_TEXTS } from '$core/words/lessons';
  import { LESSON_IDS, type LessonId } from '$core/lessons/types';
  import type { Exercise } from '$core/lessons/question';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import FairChance from './FairChance.svelte';
  import { LessonDesk } from './lesson-desk.svelte';
  import LessonChart from './LessonChart.svelte';
  import LessonExercises from './LessonExercises.svelte';
  import LessonKnobs from './LessonKnobs.svelte';
  import LessonQuestion from './LessonQuestion.svelte';
  import LessonReading from './LessonReading.svelte';
  import { Progress } from './progress.svelte';
  import type { LineOf } from './lesson.worker';

  interface Props {
    id: LessonId;
    /** The user's own line with its name, and where it stands; null for the made one. */
    own?: (LineOf & { readonly name: string; readonly back: string }) | null;
    /** Where the other lessons are. */
    list: string;
    /** The next one on the same line. */
    next: (id: LessonId) => string;
  }
  const { id, own = null, list, next }: Props = $props();
  const told = $derived(LESSON_TEXTS[id]);
  const number = $derived(LESSON_IDS.indexOf(id) + 1);
  const following = $derived(LESSON_IDS[number] ?? null);
  const progress = new Progress();
  let desk = $state.raw<LessonDesk | null>(null);
  let exercises = $state.raw<readonly Exercise[]>([]);

  onMount(() => {
    progress.read();
    if (id === 'fair-listening') return;
    const made = untrack(() => new LessonDesk(id, own && { plan: $state.snapshot(own.plan), lineId: own.lineId }));
    desk = made;
    void made.begin(own !== null).then(async () => (exercises = await made.api.exercises(id)));
    return () => made.close();
  });
  async function hear(): Promise<void> {
    if (!desk) return;
    if (desk.player.playing) desk.player.pause();
    else if (!(await desk.hear())) toast.error(says.noSound);
  }
</script>

<main class="mx-auto grid max-w-5xl gap-5 px-5 py-5 max-sm:px-3.5" data-lesson={id}>
  <header>
    <p class="text-quiet">
      <a class="link" href={list}>{says.all}</a> · {says.number(number)}
      {#if own}· <a class="link" href={own.back}>{says.back(own.name)}</a>{/if}
    </p>
    <h1 class="text-[1.8em] leading-tight font-bold">{LESSON_TITLES[id]}</h1>
  </header>
  <div class="grid max-w-[65ch] gap-2 text-[1.05em] leading-relaxed">
    {#each told.idea as text (text)}<p>{text}</p>{/each}
  </div>

  <section class="grid gap-4 rounded-[7px] border border-base-300 bg-card p-4" aria-label={says.tryIt}>
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      {#if id !== 'fair-listening'}
        <h2 class="heading">{desk?.begun?.own && own ? says.onYours(own.name) : says.onMade}</h2>
      {/if}
      {#if own && desk?.begun}
        {#if !desk.begun.own}<span class="text-quiet">{says.notYours(own.name)}</span>{/if}
      {/if}
      <span class="ml-auto flex gap-2">
        {#if desk?.begun?.sounds}<button
            type="button"
            class="btn btn-sm"
            aria-pressed={desk.player.playing}
            onclick={() => void hear()}>{desk.player.playing ? says.stop : says.hear}</button
          >{/if}
        {#if desk?.begun && Object.keys(desk.turned).length > 0}<button
            type="button"
            class="btn btn-sm"
            onclick={() => desk?.reset()}>{says.reset}</button
          >{/if}
      </span>
    </div>
    <p class="leading-snug">{told.turn}</p>
    {#if id === 'fair-listening'}
      <FairChance />
    {:else if desk?.begun}
      <LessonKnobs {desk} />
      <LessonChart {desk} />
      <LessonReading {desk} />
    {:else if desk?.failed}
      <p role="alert">{says.failed}</p>
    {:else}
      <p class="text-quiet" aria-live="polite">{says.computing}</p>
    {/if}
  </section>

  <section class="grid max-w-[65ch] gap-2 leading-relaxed">
    <p><span class="block text-[0.93em] text-quiet">{says.said}</span>“{told.said}”</p>
    <p><span class="block text-[0.93em] text-quiet">{says.so}</span>{told.so}</p>
  </section>

  {#key id}
    <LessonQuestion {id} answers={desk ? () => desk!.api.answers(id) : null} onright={() => progress.add(id)} />
  {/key}
  {#if exercises.length > 0}<LessonExercises {exercises} />{/if}

  <p class="flex flex-wrap gap-x-5">
    {#if following}<a class="link" href={next(following)}>{says.next(LESSON_TITLES[following])}</a>{/if}
    <a class="link" href="/drill">{says.exam}</a>
  </p>
</main>
