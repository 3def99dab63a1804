<script lang="ts">
  import { lengthsIn } from '$core/units/lengths';
  import { ui as says } from '$core/words/screen/ui';
  import { keepSetting } from './keep-setting';

  const now = lengthsIn();

  function flip(): void {
    keepSetting('lengths', now === 'm' ? 'ft' : 'm');
    // Every length on the page is written anew. What is not sent yet is kept in the browser.
    location.reload();
  }
</script>

<button
  type="button"
  class="px-1 py-1 text-quiet hover:text-base-content"
  onclick={flip}
  title={says.lengthsInFeetOrMetres}
>
  {now === 'm' ? says.feet : says.metres}<span class="sr-only"> {says.forLengths}</span>
</button>
