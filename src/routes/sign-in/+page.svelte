<script lang="ts">
  import AccountForm from '$lib/crew/AccountForm.svelte';
  import Door from '$lib/crew/Door.svelte';
  import { send } from '$lib/ui/send';

  const { data } = $props();

  async function signIn({ email, password }: Readonly<Record<string, string>>): Promise<string | null> {
    const sent = await send('POST', '/api/auth/sign-in/email', { email, password });
    if (sent.ok) location.assign(data.to);
    else if (sent.status === 429) return 'Too many tries. Wait a minute.';
    else if (sent.status === 401) return 'That address and password do not belong together.';
    else return sent.message;
    return null;
  }
  async function signOut(): Promise<void> {
    await send('POST', '/api/auth/sign-out', {});
    location.reload();
  }
</script>

{#if data.name}
  <Door title="You are in no crew">
    <p>
      You are signed in as <strong>{data.name}</strong>, and no crew has you. Ask an owner for an invitation and open it
      here.
    </p>
    <button type="button" class="btn h-12 btn-outline" onclick={signOut}>Sign out</button>
  </Door>
{:else if !data.accounts}
  <Door title="Nobody has an account yet">
    <p>
      The first one is made at the address that the server printed when it was started. Whoever started it can read it
      there.
    </p>
  </Door>
{:else}
  <Door title="Sign in">
    <AccountForm
      action="Sign in"
      onsend={signIn}
      fields={[
        { name: 'email', label: 'Email', type: 'email', autocomplete: 'username' },
        { name: 'password', label: 'Password', type: 'password', autocomplete: 'current-password' }
      ]}
    >
      <p class="text-[0.93em] text-quiet">
        On a phone: scan the code that <strong>Crew, Add a device</strong> shows on a screen where you are signed in. A forgotten
        password is set anew at the machine that runs this.
      </p>
    </AccountForm>
  </Door>
{/if}
