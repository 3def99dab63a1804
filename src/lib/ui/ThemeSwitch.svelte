<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import { onMount } from 'svelte';
  import { keepSetting } from './keep-setting';

  let dark = $state(false);

  onMount(() => {
    const system = matchMedia('(prefers-color-scheme: dark)');
    const read = (): void => {
      const chosen = document.documentElement.dataset.theme;
      dark = chosen ? chosen === 'show' : system.matches;
    };
    read();
    system.addEventListener('change', read);
    return () => system.removeEventListener('change', read);
  });

  function flip(): void {
    dark = !dark;
    const theme = dark ? 'show' : 'day';
    document.documentElement.dataset.theme = theme;
    keepSetting('theme', theme);
    window.dispatchEvent(new CustomEvent('themechange'));
  }
</script>

<button
  type="button"
  class="px-1 py-1 text-quiet hover:text-base-content"
  onclick={flip}
  title={says.lightForLoadInDarkFor}
>
  {dark ? says.light : says.dark}<span class="sr-only"> {says.theme}</span>
</button>
