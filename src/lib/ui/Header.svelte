<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import { onMount, type Snippet } from 'svelte';
  import { page } from '$app/state';
  import { tinykeys } from 'tinykeys';
  import { unlessBusy } from './keys';
  import LengthSwitch from './LengthSwitch.svelte';
  import ThemeSwitch from './ThemeSwitch.svelte';

  interface Props {
    show?: { id: string; name: string };
    /** Somebody with a link to this one show: there is nothing else for them. */
    guest?: boolean;
    status?: string;
    statusTone?: string;
    onhelp?: () => void;
    extra?: Snippet;
  }
  const { show, guest = false, status = '', statusTone = 'text-quiet', onhelp, extra }: Props = $props();
  type Place = readonly [href: string, name: string];
  const one = (href: string, name: string) => ({ name, views: [[href, name]] as const });
  /** The places in the order of the work; some are several views of one thing. */
  const places = $derived.by((): readonly { readonly name: string; readonly views: readonly Place[] }[] => {
    if (!show)
      return [
        one('/', says.shows),
        one('/kit', says.kit),
        {
          name: says.memory,
          views: [
            ['/memory', says.logOfTheShow],
            ['/memory/worked', says.worked],
            ['/memory/players', says.players],
            ['/memory/venues', says.venues]
          ]
        },
        {
          name: says.learn,
          views: [
            ['/learn', says.lessons],
            ['/drill', says.drill]
          ]
        },
        one('/crew', says.crew)
      ];
    const at = `/show/${show.id}`;
    // A guest sees the show, and nothing of what the crew wrote down about it.
    const crews = guest ? [] : [one(`${at}/log`, says.logOfTheShow)];
    return [
      one(at, says.lines),
      {
        name: says.propose,
        views: [
          [`${at}/propose`, says.proposal],
          [`${at}/schools`, says.schools]
        ]
      },
      {
        name: says.kit,
        views: [
          [`${at}/kit`, says.kit],
          [`${at}/measure`, says.measure]
        ]
      },
      one(`${at}/paper`, says.paper),
      one(`${at}/check`, says.check),
      one(`${at}/listen`, says.listen),
      {
        name: says.hum,
        views: [
          [`${at}/earth`, says.earth],
          [`${at}/trace`, says.trace],
          [`${at}/analyse`, says.analyse]
        ]
      },
      ...crews
    ];
  });
  let converting = $state(false);
  let helping = $state(false);
  const help = (): void => void (onhelp ? onhelp() : (helping = true));
  onMount(() => {
    // Where a view has a list of keys of its own, it listens itself.
    const ask = unlessBusy(() => void (onhelp ? null : help()));
    return tinykeys(window, { u: unlessBusy(() => (converting = true)), '?': ask, 'Shift+?': ask });
  });
  let nav = $state<HTMLElement>();
  /** The view one is in, or that one came into a thing from: the longest address that leads here. */
  const at = $derived(
    places
      .flatMap(({ views }) => views.map(([href]) => href))
      .filter((href) => page.url.pathname === href || (href !== '/' && page.url.pathname.startsWith(`${href}/`)))
      .sort((a, b) => b.length - a.length)[0]
  );
  const here = $derived(places.find(({ views }) => views.some(([href]) => href === at)));
  // On a phone not all of them fit: where one is has to be in sight.
  $effect(() => {
    if (here) nav?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  });
</script>

<header
  class="no-print flex min-h-[46px] items-center gap-x-5 border-b border-base-300 bg-card px-5 max-md:flex-wrap max-md:gap-x-3 max-md:pt-2 max-sm:px-3.5"
>
  {#if guest}
    <span class="text-[1.3em] font-bold tracking-tight">{says.guanxi}</span>
  {:else}
    <a href="/" class="text-[1.3em] font-bold tracking-tight" aria-label={says.guanxiAllShows}>{says.guanxi}</a>
  {/if}
  {#if show}
    <a href="/show/{show.id}" class="min-w-0 truncate font-bold">{show.name}</a>
  {/if}
  <nav
    bind:this={nav}
    aria-label={show ? says.show : says.crew}
    class="flex min-w-0 gap-1 overflow-x-auto max-md:order-last max-md:-mx-2 max-md:w-full"
  >
    {#each places as place (place.name)}
      <a
        href={place.views[0][0]}
        aria-current={place === here ? (place.views.length > 1 ? 'true' : 'page') : undefined}
        class="rounded-lg px-3 py-2 whitespace-nowrap max-sm:px-2 {place === here
          ? 'bg-base-200 font-semibold'
          : 'text-quiet hover:text-base-content'}">{place.name}</a
      >
    {/each}
  </nav>
  <div class="ml-auto flex items-center gap-3">
    {@render extra?.()}
    <span class="{statusTone} whitespace-nowrap" role="status" aria-live="polite">{status}</span>
    <button
      type="button"
      class="px-1 py-1 text-quiet hover:text-base-content"
      onclick={() => (converting = true)}
      title={says.convertLevelsAndUnits}>{says.convert}</button
    >
    <LengthSwitch />
    <ThemeSwitch />
    <button type="button" class="key h-6" onclick={help} aria-label={says.help} title={says.help}>?</button>
  </div>
</header>
{#if here && here.views.length > 1}
  <nav
    aria-label={here.name}
    class="no-print flex gap-5 overflow-x-auto border-b border-base-300 bg-card px-5 max-sm:gap-3 max-sm:px-3.5"
  >
    {#each here.views as [href, name] (href)}
      {@const open = at === href}
      <a
        {href}
        aria-current={open ? 'page' : undefined}
        class="border-b-2 py-1.5 whitespace-nowrap {open
          ? 'border-primary font-semibold'
          : 'border-transparent text-quiet hover:text-base-content'}">{name}</a
      >
    {/each}
  </nav>
{/if}

{#if helping}
  {#await import('./HelpHere.svelte') then { default: HelpHere }}<HelpHere onclose={() => (helping = false)} />{/await}
{/if}
{#if converting}
  {#await import('./Converter.svelte') then { default: Converter }}<Converter
      onclose={() => (converting = false)}
    />{/await}
{/if}
