<script lang="ts">
  import { crew as crewSays } from '$core/words/screen/crew';
  import { listen as says } from '$core/words/screen/listen';
  import { groupFavourite, ROUNDS } from '$core/hear/fair';
  import { writeWav } from '$core/hear/wav-out';
  import { groupText, preferenceText } from '$core/words/hear';
  import { CatchingUp } from '$lib/live/catching-up';
  import { request } from '$lib/outbox/outcome';
  import { type Answer, LISTENING_LIMITS as LIMITS, type ListeningSet } from '$lib/protocol/listenings';
  import { lineName } from '$lib/show/session/edits';
  import { codeOf } from '$lib/ui/code-of';
  import { uuid } from '$lib/uuid';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import type { HearDesk } from './hear-desk.svelte';

  interface Props {
    desk: HearDesk;
    /** Under which other devices reach this server; null when none can. */
    originForOthers: string | null;
    /** @param best what was liked best; null for none */
    onwrite: (text: string, who: string, best: number | null) => Promise<void>;
  }
  /** Several people on their own phones against one set, each blind, the answers together. The sounds are kept with the show for that. */
  const { desk, originForOthers, onwrite }: Props = $props();
  const { show } = $derived(desk);
  let rounds = $state<(typeof ROUNDS)[number]>(3);
  /** Share that is sent; null when nothing is. */
  let sending = $state<number | null>(null);
  let set = $state.raw<{ readonly id: string; readonly names: readonly string[] } | null>(null);
  let answers = $state.raw<readonly Answer[]>([]);
  let code = $state('');
  let written = $state(false);
  const link = $derived(set ? `${originForOthers ?? location.origin}/show/${show.id}/listen/${set.id}` : '');
  const path = $derived(`/api/shows/${show.id}/listenings`);
  const news = new CatchingUp(async () => {
    if (!set) return;
    const answer = await request('GET', `${path}/${set.id}/answers`, undefined);
    if (answer?.ok) ({ answers } = (await answer.json()) as { answers: Answer[] });
  });
  onMount(() => {
    void earlier();
    news.follow(show.feed, 'log', ({ show: of }) => of === show.id);
    return () => news.close();
  });

  /** What was asked of this line before is still there: until it is taken out. */
  async function earlier(): Promise<void> {
    const answer = await request('GET', path, undefined);
    if (!answer?.ok) return;
    const { listenings } = (await answer.json()) as { listenings: { id: string; set: ListeningSet }[] };
    const last = listenings.find((l) => l.set.line === desk.line?.id);
    if (last && !set) await open(last.id, last.set.names, last.set.rounds);
  }
  async function open(id: string, names: readonly string[], of: (typeof ROUNDS)[number]): Promise<void> {
    [set, answers, written, rounds] = [{ id, names }, [], false, of];
    code = await codeOf(link);
    await news.now();
  }
  async function ask(): Promise<void> {
    const [line, heard, ready] = [desk.line!, desk.heard, desk.ready];
    const files = heard.map((h) => writeWav(h.samples, desk.player.rate, ''));
    if (files.some((f) => f.length > LIMITS.part * LIMITS.parts)) {
      toast.error(says.tooLongForOthers);
      return;
    }
    const id = uuid();
    const names = ready.map((c) => c.name.slice(0, LIMITS.name));
    sending = 0;
    const made = await request(
      'POST',
      path,
      JSON.stringify({ id, set: { line: line.id, called: lineName(line), names, rounds } })
    );
    let ok = made?.ok ?? false;
    if (made && !made.ok)
      toast.error(((await made.json().catch(() => ({}))) as { message?: string }).message ?? says.notSent);
    const total = files.reduce((sum, f) => sum + Math.ceil(f.length / LIMITS.part), 0);
    let done = 0;
    for (const [k, file] of files.entries()) {
      const parts = Math.ceil(file.length / LIMITS.part);
      for (let part = 0; ok && part < parts; part++) {
        const some = file.slice(part * LIMITS.part, (part + 1) * LIMITS.part);
        const to = `${path}/${id}/sounds/${k}?part=${part}${part === parts - 1 ? '&last=yes' : ''}`;
        ok = (await request('PUT', to, some, 'audio/wav'))?.ok ?? false;
        sending = ++done / total;
      }
    }
    sending = null;
    if (!ok) {
      if (made?.ok) toast.error(says.notSent);
      return;
    }
    await open(id, names, rounds);
  }
  async function write(): Promise<void> {
    if (!set) return;
    const best = groupFavourite(set.names.length, answers);
    // What stands under the letters now may be something else than what was asked.
    const same = best !== null && desk.ready[best]?.name === set.names[best];
    await onwrite(groupText(set.names, answers), '', same ? best : null);
    written = true;
  }
  async function takeOut(): Promise<void> {
    const was = set;
    set = null;
    if (was && !(await request('DELETE', `${path}/${was.id}`, undefined))?.ok) set = was;
  }
</script>

<section class="grid gap-3" data-others>
  <h2 class="heading">{says.askOthers}</h2>
  {#if set}
    {@const now = set}
    <div class="flex flex-wrap items-start gap-5">
      {#if code}<img class="size-40 rounded-[7px] bg-white" src={code} alt={says.codeForOthers} />{/if}
      <div class="grid min-w-0 flex-1 gap-2">
        {#if !originForOthers}<p class="border-l-2 border-warning pl-3">
            {crewSays.thisServerAnswersOnThisMachine} <span class="num">{crewSays.host0000Npm}</span>.
          </p>{/if}
        <p>{says.scanIt} <a class="link [overflow-wrap:anywhere]" href={link}>{link}</a></p>
        <p class="text-[1.1em] font-semibold" role="status" data-result>{groupText(now.names, answers)}</p>
        <ul>
          {#each answers as a (a.id)}
            <li class="border-b border-base-300 py-1">
              {a.who || says.somebody}: {preferenceText(
                { count: now.names.length, rounds, seed: 0, liked: a.liked },
                now.names
              )}
            </li>
          {/each}
        </ul>
        <p class="flex flex-wrap gap-4">
          <button
            type="button"
            class="btn btn-primary"
            disabled={answers.length === 0 || written}
            onclick={() => void write()}>{says.keep}</button
          >
          <button type="button" class="link text-quiet" onclick={() => void takeOut()}>{says.takeSetOut}</button>
        </p>
      </div>
    </div>
  {:else}
    <p class="text-quiet">{says.askTeach}</p>
    <div class="flex flex-wrap items-center gap-3">
      <select class="select w-auto pr-8" aria-label={says.rounds} bind:value={rounds}
        >{#each ROUNDS as n (n)}<option value={n}>{says.roundsOf(n)}</option>{/each}</select
      >
      <button type="button" class="btn" disabled={sending !== null} onclick={() => void ask()}>{says.makeSet}</button>
      {#if sending !== null}<span role="status">{says.sendingSounds(Math.round(sending * 100))}</span>{/if}
    </div>
  {/if}
</section>
