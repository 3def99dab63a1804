<script lang="ts">
  import { formatNumber } from '$core/units/format';
  import { check as says } from '$core/words/screen/check';

  interface Props {
    name: string;
    /** As it stands; null before anything was read. */
    value: number | null;
    /** Whether it counts as read. */
    counts: boolean;
    /** Where an untouched knob would be turned from. */
    hint: string;
    mark: string;
    onturn: (by: number) => void;
    /** Typed; null when the field was emptied. */
    ontype: (value: number | null) => void;
  }
  /** A figure that is stepped, held or typed. */
  const { name, value, counts, hint, mark, onturn, ontype }: Props = $props();

  /** Held for so long it goes on by itself, every so often, milliseconds. */
  const HOLD_MS = 400;
  const EVERY_MS = 90;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let held = false;
  function press(by: number): void {
    held = false;
    clearTimeout(timer);
    const again = (): void => {
      held = true;
      onturn(by);
      timer = setTimeout(again, EVERY_MS);
    };
    timer = setTimeout(again, HOLD_MS);
  }
  const release = (): void => clearTimeout(timer);
  $effect(() => release);
  /** A hold ends with a click, which is not one more step. */
  function click(by: number): void {
    release();
    if (!held) onturn(by);
    held = false;
  }
</script>

{#snippet step(by: number, text: string, label: string)}
  <button
    type="button"
    class="btn size-14 touch-manipulation text-[1.4em] select-none"
    aria-label={label}
    onpointerdown={() => press(by)}
    onpointerup={release}
    onpointerleave={release}
    onpointercancel={release}
    oncontextmenu={(e) => e.preventDefault()}
    onclick={() => click(by)}>{text}</button
  >
{/snippet}

<div class="flex items-center gap-2">
  {@render step(-1, '−', says.down1Db(name))}
  <input
    type="text"
    inputmode="text"
    class="num input h-14 w-18 px-1 text-center text-[1.4em] {counts ? '' : 'text-quiet'}"
    aria-label={says.inDb(name)}
    data-read={mark}
    placeholder={hint}
    value={value === null ? '' : formatNumber(value)}
    onchange={(e) => {
      const text = e.currentTarget.value.trim().replace(/[−–]/g, '-').replace(',', '.');
      const typed = Number.parseFloat(text);
      ontype(Number.isFinite(typed) ? typed : null);
      // What is no figure does not stay there as if it were one.
      if (!Number.isFinite(typed)) e.currentTarget.value = '';
    }}
    onkeydown={(e) => {
      if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
      e.preventDefault();
      onturn(e.key === 'ArrowUp' ? 1 : -1);
    }}
  />
  {@render step(1, '+', says.up1Db(name))}
</div>
