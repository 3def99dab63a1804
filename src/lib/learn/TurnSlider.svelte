<script lang="ts">
  /** A slider with its name before it and its value behind; on a phone below both. */
  interface Props {
    name: string;
    /** The value in words. */
    told: string;
    min?: number;
    max: number;
    value: number;
    onturn: (to: number) => void;
  }
  const { name, told, min = 0, max, value, onturn }: Props = $props();
</script>

<label class="grid grid-cols-[11rem_1fr_6.5rem] items-center gap-x-4 max-sm:grid-cols-[1fr_auto]">
  <span>{name}</span>
  <input
    type="range"
    class="range w-full range-sm max-sm:order-last max-sm:col-span-2"
    {min}
    {max}
    {value}
    aria-valuetext={told}
    oninput={(event) => onturn(event.currentTarget.valueAsNumber)}
  />
  <span class="num text-right">{told}</span>
</label>
