<script lang="ts">
  import { session as says } from '$core/words/screen/session';
  import { useShow } from './context';

  /** The line at which somebody is; null elsewhere. */
  const { line = null }: { line?: string | null } = $props();
  const show = useShow();
</script>

<button
  type="button"
  class="btn min-h-12 w-full border-2 border-danger"
  onclick={() => {
    show.stops.call(line);
    window.scrollTo({ top: 0 });
  }}>{says.aTingleSmokeOrHeat}</button
>
