<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { Hints } from '$core/advise/hints';
  import type { Pair } from '$core/judge/pairs';
  import type { Op } from '$core/plan/schema';
  import { deskCutText, eqText, loudnessText, lowCutText, matchText, pairText, unityText } from '$core/words/hints';

  interface Props {
    hints: Hints | null;
    /** The stereo pair that the line is a side of. */
    pair: Pair | null;
    nameOf: (line: string) => string;
    onset: (ops: readonly Op[]) => void;
  }
  /** What can be set once nothing is wrong any more: levels, cuts, equaliser, each with one key to do it where the plan holds it. */
  const { hints, pair, nameOf, onset }: Props = $props();

  interface Row {
    id: string;
    head: string;
    text: string;
    ops: readonly Op[];
    action: string;
  }
  const rows = $derived.by((): Row[] => {
    const list: Row[] = [];
    const put = (id: string, head: string, text: string, ops: readonly Op[] = [], action = ''): void =>
      void list.push({ id, head, text, ops, action });
    if (pair) put('pair', says.pair(pair.name), pairText(pair, nameOf(pair.lines[1])));
    if (!hints) return list;
    const { loudness, match, unity, lowCut, deskCut, eq } = hints;
    if (loudness) put('loudness', says.loudness, loudnessText(loudness), loudness.ops, says.setIt);
    if (match) put('match', says.asLoudAs, matchText(match, nameOf(match.of)));
    if (unity) put('unity', says.unity, unityText(unity), unity.ops, says.setIt);
    if (lowCut) put('low-cut', says.lowCut, lowCutText(lowCut), lowCut.ops, says.cut);
    if (deskCut) put('desk-cut', says.lowCut, deskCutText(deskCut));
    if (eq) put('eq', says.equaliser, eqText(eq));
    return list;
  });
</script>

{#if rows.length > 0}
  <dl class="mt-2 border-t border-base-300">
    {#each rows as { id, head, text, ops, action } (id)}
      <div
        class="grid grid-cols-[90px_1fr_auto] items-center gap-x-2 border-b border-base-300 py-1.5 leading-snug max-sm:grid-cols-[1fr_auto]"
        data-hint={id}
      >
        <dt class="self-start text-quiet max-sm:col-span-2">{head}</dt>
        <dd>{text}</dd>
        {#if ops.length > 0}
          <button type="button" class="btn btn-outline btn-primary btn-sm" onclick={() => onset(ops)}>{action}</button>
        {/if}
      </div>
    {/each}
  </dl>
{/if}
