<script lang="ts">
  import type { InstrumentId } from '$core/gear/instruments';
  import type { LineSpec } from '$core/plan/spec';
  import type { SayFault } from '$core/reader/draft';
  import type { Typed } from '$core/reader/read';
  import { formatQuantity } from '$core/units/format';
  import { sayFaultText } from '$core/words/faults';
  import { CABLE_NAMES, INSTRUMENT_NAMES, modelName } from '$core/words/names';
  import { board as says } from '$core/words/screen/board';
  import { useBoard } from './board-state.svelte';

  interface Props {
    typed: Typed;
    specs: readonly LineSpec[];
    faults: readonly SayFault[];
    /** Words that nobody knows, with what they may have been. */
    unclear: Typed['ignored'];
    hint: string;
    onswap: (from: number, to: number, by: string) => void;
  }
  /** How what was typed is understood: parts, what was assumed, what is not known. */
  const { typed, specs, faults, unclear, hint, onswap }: Props = $props();
  const board = useBoard();
  const plan = $derived(board.plan);
  const reading = $derived(typed.strict);

  const playing = (instrument: unknown): string =>
    instrument ? ` (${INSTRUMENT_NAMES[instrument as InstrumentId]})` : '';

  const read = $derived.by(() => {
    const partial: Partial<LineSpec> = typed.trade ? specs[0] : reading.partial;
    const metres = (c: { metres: number; kind: keyof typeof CABLE_NAMES }): string =>
      `${formatQuantity('length', c.metres)} ${CABLE_NAMES[c.kind]}`;
    return [
      partial.source && {
        strong: true,
        text: partial.from
          ? `from ${plan.lines[partial.from]?.name}`
          : modelName(partial.source.model) + playing(partial.source.settings.instrument)
      },
      partial.lead && { strong: false, text: metres(partial.lead) },
      partial.box && { strong: true, text: modelName(partial.box.model) },
      partial.run && { strong: false, text: metres(partial.run) },
      ...(partial.more ?? []).flatMap(({ box, run }) => [
        { strong: true, text: modelName(box.model) },
        { strong: false, text: metres(run) }
      ]),
      partial.input && { strong: true, text: modelName(partial.input.model) }
    ].filter((p) => !!p);
  });
</script>

{#if typed.trade}
  {#each unclear.slice(0, 2) as word (word.from)}
    <p data-ignored>
      <span class="text-error">{says.dontKnow(word.text)}</span>
      {#each word.suggestions as suggestion (suggestion)}
        <button type="button" class="ml-2 text-primary underline" onclick={() => onswap(word.from, word.to, suggestion)}
          >{suggestion}</button
        >
      {/each}
    </p>
  {/each}
{/if}
{#if faults.length > 0}
  {#each faults.slice(0, 2) as fault (fault.piece.from)}
    <p>
      <span class="text-error">{sayFaultText(fault)}</span>
      {#if fault.code === 'unknown'}
        {#each fault.suggestions as suggestion (suggestion)}
          <button
            type="button"
            class="ml-2 text-primary underline"
            onclick={() => onswap(fault.piece.from, fault.piece.to, suggestion)}>{suggestion}</button
          >
        {/each}
        <button
          type="button"
          class="ml-2 text-primary underline"
          onclick={() => onswap(fault.piece.from, fault.piece.to, '')}>{says.leaveItOut}</button
        >
      {/if}
    </p>
  {/each}
{:else}
  <p>
    {#if typed.trade}<span class="mr-1">{says.named(specs[0].name)}</span>
    {:else if read.length > 0}<span class="mr-1 text-quiet">{says.readsAs}</span>{/if}
    {#each read as part, k (k)}
      <span class="mr-1 {part.strong ? 'font-semibold' : 'text-quiet'}"
        >{part.text}{k < read.length - 1 ? ',' : '.'}</span
      >
    {/each}
    <span class="text-quiet">{hint}</span>
  </p>
  {#if typed.trade}
    <p class="text-quiet" data-assumed>
      {#if specs.length > 1}{says.linesAre(specs.length, specs.map((s) => s.name).join(', '))}{/if}
      {#if typed.assumed.length > 0}
        {says.assumedParts(typed.assumed.map((a) => says.assumedNames[a]).join(', '))}
      {/if}
      {#each typed.guessed as word (word.text)}{says.takenFor(word.text, word.as)}
      {/each}
    </p>
  {/if}
{/if}
