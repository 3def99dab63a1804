<script lang="ts">
  import type { MergedReading } from '$core/linecheck/merge';
  import type { Caution } from '$core/linecheck/gates';
  import { type LineReport, problems } from '$core/judge/judge';
  import { rank } from '$core/judge/types';
  import type { Line } from '$core/plan/lines';
  import { CAUTION_TEXTS, checkedText, partText } from '$core/words/check';
  import { sentence } from '$core/words/findings';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';
  import Mark from '$lib/ui/Mark.svelte';

  interface Props {
    line: Line;
    report: LineReport;
    cautions: readonly Caution[];
    /** How it was at the show that this one was copied from, and that show's name. */
    last: { readonly reading: MergedReading; readonly show: string } | null;
  }
  /** What has to be known before anything is plugged: what stops it on the board, what can hurt, how it was last time. */
  const { line, report, cautions, last }: Props = $props();
  const show = useShow();
  const stops = $derived(problems(report).filter((f) => rank(f.severity) >= rank('stop')));
</script>

{#if stops.length > 0}
  <section class="mt-2 rounded-[9px] border-2 border-error px-3 py-2 leading-snug" data-stops>
    <h3 class="font-semibold">{says.stopsOnTheBoard}</h3>
    {#each stops as f (`${f.code} ${f.at}`)}
      <p class="flex gap-2 pt-0.5"><Mark severity={f.severity} /><span>{sentence(f)}</span></p>
    {/each}
    <a class="inline-flex min-h-11 items-center underline" href="/show/{show.id}?line={line.id}"
      >{says.openOnTheBoard}</a
    >
  </section>
{/if}
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
{#if last}
  <p class="mt-2 border-l-4 border-primary pl-3 leading-snug" data-last>
    {says.lastTime(
      last.show,
      checkedText(last.reading, (id) => partText(show.session.plan, line, id))
    )}
  </p>
{/if}
