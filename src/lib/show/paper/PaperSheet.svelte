<script lang="ts">
  import { cutText } from '$core/text/well-formed';
  import { paper as says } from '$core/words/screen/paper';
  import type { Sheet } from '$core/paper/types';

  interface Props {
    sheet: Sheet;
    /** Revision that marks are against. */
    since: number | null;
    ticked: ReadonlySet<string>;
    ontick: (key: string, on: boolean) => void;
  }
  const { sheet, since, ticked, ontick }: Props = $props();
  const total = $derived(sheet.columns.reduce((sum, c) => sum + c.wide, 0));
  const TICK = '☐';
  const keyOf = (row: string): string => cutText(`${sheet.id}/${row}`, 200);
  const MARKS = { new: '+', changed: '•' } as const;
  const lists = $derived(sheet.groups.some((g) => g.rows.some((r) => r.cells.includes(TICK))));
  const count = $derived.by(() => {
    const all = sheet.groups.flatMap((g) => g.rows).filter((r) => r.cells.includes(TICK));
    return { all: all.length, done: all.filter((r) => ticked.has(keyOf(r.key))).length };
  });
</script>

<h2 class="text-[1.6em] font-bold">{sheet.title}</h2>
{#if sheet.dangers}
  <ul class="my-2 border-[3px] border-danger px-3 py-2 font-semibold" role="note" data-dangers>
    {#each sheet.dangers as danger, k (k)}<li>{says.danger} {danger}</li>{/each}
  </ul>
{/if}
<p class="text-[0.93em]">
  {sheet.note}
  {#if lists && count.all > 0}<span data-ticked>{says.ofTickedOff(count.done, count.all)}</span>{/if}
  {#if since !== null}<span data-legend>{says.newChangedSinceRevision(since)}</span>{/if}
  {#if sheet.gone && sheet.gone.length > 0}<span data-gone>{says.goneSince(sheet.gone.join('; '))}</span>{/if}
</p>
{#each sheet.groups as group (group.name)}
  <section class="pt-3">
    <h3 class="font-bold">{group.name}</h3>
    <div class="overflow-x-auto">
      <table class="w-full table-fixed {sheet.columns.length > 5 ? 'max-sm:min-w-[640px]' : ''}">
        <colgroup>
          {#if since !== null}<col style:width="3%" />{/if}
          {#each sheet.columns as column, k (k)}<col style:width="{(column.wide / total) * 97}%" />{/each}
        </colgroup>
        <thead>
          <tr>
            {#if since !== null}<th><span class="sr-only">{says.mark}</span></th>{/if}
            {#each sheet.columns as column, k (k)}
              <th class={column.align === 'right' ? 'pr-4! text-right' : 'text-left'} scope="col"
                >{#if column.head}{column.head}{:else}<span class="sr-only">{says.tickOrNumber}</span>{/if}</th
              >
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each group.rows as row (row.key)}
            {@const done = ticked.has(keyOf(row.key))}
            <tr class={done ? 'opacity-50' : ''} data-mark={row.mark}>
              {#if since !== null}
                <td class="font-bold"
                  >{#if row.mark}<span aria-hidden="true">{MARKS[row.mark]}</span><span class="sr-only">{row.mark}</span
                    >{/if}</td
                >
              {/if}
              {#each row.cells as text, k (k)}
                <td class={sheet.columns[k].align === 'right' ? 'pr-4! text-right' : ''}>
                  {#if text === TICK}
                    <input
                      type="checkbox"
                      class="size-5 accent-black"
                      checked={done}
                      aria-label={says.done(row.cells.filter((c) => c !== TICK && c !== '').join(', '))}
                      onchange={(e) => {
                        ontick(keyOf(row.key), e.currentTarget.checked);
                        // Who may only look sees it as it is.
                        e.currentTarget.checked = ticked.has(keyOf(row.key));
                      }}
                    />
                  {:else}{text}{/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </section>
{/each}
