<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Field {
    readonly name: string;
    readonly label: string;
    readonly type: 'text' | 'email' | 'password';
    readonly autocomplete: 'name' | 'username' | 'current-password' | 'new-password';
    readonly hint?: string;
    readonly least?: number;
  }
  interface Props {
    fields: readonly Field[];
    action: string;
    /** @returns what went wrong, or null when it is done */
    onsend: (values: Readonly<Record<string, string>>) => Promise<string | null>;
    children?: Snippet;
  }
  /** A short form about an account: what is typed stays when something goes wrong. */
  const { fields, action, onsend, children }: Props = $props();

  let busy = $state(false);
  let wrong = $state<string | null>(null);
  async function submit(event: SubmitEvent & { currentTarget: HTMLFormElement }): Promise<void> {
    event.preventDefault();
    busy = true;
    wrong = null;
    const values = Object.fromEntries([...new FormData(event.currentTarget)].map(([k, v]) => [k, String(v).trim()]));
    wrong = await onsend(values);
    busy = false;
  }
</script>

<form class="grid gap-4" method="post" onsubmit={submit}>
  {#each fields as field, k (field.name)}
    <label class="grid gap-1">
      <span class="font-semibold">{field.label}</span>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        class="input h-12 w-full text-[1.05em]"
        name={field.name}
        type={field.type}
        autocomplete={field.autocomplete}
        autocapitalize={field.type === 'text' ? 'words' : 'none'}
        required
        minlength={field.least}
        maxlength="120"
        autofocus={k === 0}
      />
      {#if field.hint}<span class="text-[0.93em] text-quiet">{field.hint}</span>{/if}
    </label>
  {/each}
  {#if wrong}<p class="border-l-2 border-error pl-3" role="alert">{wrong}</p>{/if}
  <button class="btn h-12 btn-primary" disabled={busy}>{action}</button>
  {@render children?.()}
</form>
