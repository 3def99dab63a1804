<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import { keepInstrument } from '$core/players/keep';
  import { ownedName } from '$core/players/named';
  import { isMet, meetWant, readWants, type Want } from '$core/players/wants';
  import type { Line } from '$core/plan/lines';
  import type { Op, Plan } from '$core/plan/schema';
  import { wantText } from '$core/words/players';
  import { useShow } from '$lib/show/session/context';
  import { uuid } from '$lib/uuid';
  import type { CrewPlayers } from './crew-players.svelte';

  interface Props {
    crew: CrewPlayers;
    plan: Plan;
    line: Line;
    /** Carries out what is wanted. */
    onset: (ops: readonly Op[]) => void;
    /** The line is of this instrument from now on. */
    onkeep: (instrument: string) => void;
    pad?: string;
  }
  /** The instrument of a line: whose it is and what is wanted for it, held against the plan; or one press to remember it. */
  const { crew, plan, line, onset, onkeep, pad = '' }: Props = $props();
  const show = useShow();
  const id = $derived(line.info?.instrument);
  const instrument = $derived(id ? crew.instrument(id) : null);
  const player = $derived(instrument?.player ? crew.playerNamed(instrument.player) : null);
  const wants = $derived(
    [instrument?.wants ?? '', player?.player.wants ?? ''].flatMap((text) => readWants(text, show.crewKit))
  );
  const newId = (role: string): string => `${line.id.slice(0, 20)}-${role}-${uuid().slice(0, 6)}`;
  const stepsTo = (want: Want): readonly Op[] | null => meetWant(plan, line, want, newId);

  let asking = $state(false);
  let whose = $state('');
  function keep(event: SubmitEvent): void {
    event.preventDefault();
    const name = whose.trim();
    const made = keepInstrument(plan, line, name);
    if (!made) return;
    if (name !== '' && !crew.playerNamed(name)) crew.putPlayer({ name, position: '', wants: '', note: '' });
    onkeep(crew.putInstrument(made));
    [asking, whose] = [false, ''];
  }
  const keepable = $derived(!instrument && keepInstrument(plan, line, '') !== null);
</script>

{#if instrument}
  <section class="grid gap-1 leading-snug {pad}" aria-label={says.instrument} data-instrument>
    <p class="flex flex-wrap gap-x-2">
      <a class="link font-semibold" href="/memory/players/{id}">{ownedName(instrument)}</a>
      {#if player?.player.position}<span class="text-quiet">{player.player.position}</span>{/if}
    </p>
    {#if wants.length > 0}
      <ul class="flex flex-wrap gap-x-4 gap-y-1">
        {#each wants as want, k (k)}
          {@const met = isMet(plan, line, want)}
          {@const ops = met === false ? stepsTo(want) : null}
          <li class="flex flex-wrap items-center gap-x-2 {met === false ? '' : 'text-quiet'}">
            <span>{k === 0 ? `${says.wanted} ` : ''}{wantText(want, met)}</span>
            {#if ops}<button type="button" class="btn btn-xs" onclick={() => onset(ops)}
                >{says.doIt}<span class="sr-only">: {want.text}</span></button
              >{/if}
          </li>
        {/each}
      </ul>
    {/if}
    {#if instrument.heard?.[0]}<p class="text-quiet">{says.lastByEar} {instrument.heard[0].text}</p>{/if}
    {#if instrument.note}<p class="text-quiet">{instrument.note}</p>{/if}
  </section>
{:else if keepable}
  <section class="leading-snug {pad}" data-instrument>
    {#if asking}
      <form class="flex flex-wrap items-center gap-2" onsubmit={keep}>
        <label for="whose-{line.id}">{says.whoseIsIt}</label>
        <!-- svelte-ignore a11y_autofocus -->
        <input
          id="whose-{line.id}"
          class="input w-44 input-sm"
          autocomplete="off"
          list="known-players"
          maxlength="80"
          placeholder={says.theCrews}
          autofocus
          bind:value={whose}
          onkeydown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            asking = false;
          }}
        />
        <datalist id="known-players">
          {#each crew.all.players as { id: of, player: p } (of)}<option value={p.name}></option>{/each}
        </datalist>
        <button class="btn btn-primary btn-sm">{says.remember}</button>
        <button type="button" class="btn btn-sm" onclick={() => (asking = false)}>{says.leaveIt}</button>
      </form>
    {:else}
      <button type="button" class="link text-quiet" onclick={() => (asking = true)}>{says.rememberIt}</button>
    {/if}
  </section>
{/if}
