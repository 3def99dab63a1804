<script lang="ts">
  import type { MergedReading } from '$core/linecheck/merge';
  import { formatNumber } from '$core/units/format';
  import { check as says } from '$core/words/screen/check';

  const { reading }: { reading: MergedReading } = $props();
  /* Who read it before, when, and the gain then. */
  const when = $derived(new Date(reading.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' }));
</script>

<p class="pt-3 text-quiet" data-before>
  {says.readBefore(
    reading.by ? ` by ${reading.by}` : '',
    when,
    reading.gainDb === null ? '' : says.db3(formatNumber(reading.gainDb))
  )}
</p>
