<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import type { Preference } from '$core/hear/fair';
  import { request } from '$lib/outbox/outcome';
  import { type ListeningFor, LISTENING_LIMITS } from '$lib/protocol/listenings';
  import { uuid } from '$lib/uuid';
  import { onMount } from 'svelte';
  import BlindRounds from './BlindRounds.svelte';
  import { FairPlayer } from './fair-player.svelte';
  import HearControls from './HearControls.svelte';

  /** A player’s own view: large letters, one loop, which do you like? */
  const { showId, listening }: { showId: string; listening: ListeningFor } = $props();
  const path = $derived(`/api/shows/${showId}/listenings/${listening.id}`);
  const player = new FairPlayer();
  let loaded = $state(false);
  let failed = $state(false);
  let begun = $state(false);
  let over = $state.raw<Preference | null>(null);
  let who = $state('');
  let sent = $state<'no' | 'sending' | 'yes' | 'not'>('no');
  /** Sent twice, it is one answer. */
  const answer = uuid();

  onMount(() => {
    void load();
    return () => player.close();
  });
  async function load(): Promise<void> {
    const sounds = await Promise.all(
      Array.from({ length: listening.count }, async (_, k): Promise<Float32Array | null> => {
        const got = await fetch(`${path}/sounds/${k}`).catch(() => null);
        if (!got?.ok) return null;
        const decoded = await new OfflineAudioContext(1, 1, player.rate)
          .decodeAudioData(await got.arrayBuffer())
          .catch(() => null);
        return decoded?.getChannelData(0) ?? null;
      })
    );
    failed = sounds.includes(null);
    if (failed) return;
    player.load(sounds as Float32Array[]);
    loaded = true;
  }
  async function send(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    sent = 'sending';
    const body = JSON.stringify({ id: answer, who: who.trim(), liked: over!.liked });
    sent = (await request('POST', `${path}/answers`, body))?.ok ? 'yes' : 'not';
  }
</script>

<main class="mx-auto grid max-w-[620px] gap-5 px-5 py-6 max-sm:px-3.5">
  <h1 class="text-[1.35em] font-bold">{says.whichDoYouLike(listening.called)}</h1>
  {#if failed || !listening.ready}
    <p role="alert">{says.setNotThere}</p>
  {:else if !loaded}
    <p class="text-quiet" role="status">{says.fetching}</p>
  {:else if sent === 'yes'}
    <p class="text-[1.2em] font-semibold" role="status" data-sent>{says.thanks}</p>
  {:else if over}
    <form class="grid gap-3" onsubmit={send}>
      <label class="grid gap-1"
        ><span class="font-semibold">{says.yourName}</span>
        <input class="input h-14 w-full" maxlength={LISTENING_LIMITS.who} autocomplete="name" bind:value={who} /></label
      >
      <button class="btn min-h-14 btn-primary" disabled={sent === 'sending'}>{says.sendIt}</button>
      {#if sent === 'not'}<p class="text-error" role="alert">{says.notSent}</p>{/if}
    </form>
  {:else if begun}
    <HearControls {player} small />
    <BlindRounds {player} count={listening.count} rounds={listening.rounds} onover={(test) => (over = test)} />
  {:else}
    <p>{says.playerTeach(says.roundsOf(listening.rounds))}</p>
    <button type="button" class="btn min-h-16 text-[1.2em] btn-primary" onclick={() => (begun = true)}
      >{says.begin}</button
    >
  {/if}
</main>
