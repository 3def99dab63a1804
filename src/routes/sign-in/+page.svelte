<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import AccountForm from '$lib/crew/AccountForm.svelte';
  import Door from '$lib/crew/Door.svelte';
  import { forgetAll } from '$lib/offline/device';
  import { send } from '$lib/ui/send';

  const { data } = $props();

  async function signIn({ email, password }: Readonly<Record<string, string>>): Promise<string | null> {
    const sent = await send('POST', '/api/auth/sign-in/email', { email, password });
    if (sent.ok) location.assign(data.to);
    else if (sent.status === 429) return says.tooManyTriesWaitAMinute;
    else if (sent.status === 401) return says.thatAddressAndPasswordDoNot;
    else return sent.message;
    return null;
  }
  async function signOut(): Promise<void> {
    await send('POST', '/api/auth/sign-out', {});
    await forgetAll();
    location.reload();
  }
</script>

{#if data.name}
  <Door title={says.youAreInNoCrew}>
    <p>
      {says.youAreSignedInAs} <strong>{data.name}</strong>{says.andNoCrewHasYouAsk}
    </p>
    <button type="button" class="btn h-12 btn-outline" onclick={signOut}>{says.signOut}</button>
  </Door>
{:else if !data.accounts}
  <Door title={says.nobodyHasAnAccountYet}>
    <p>
      {says.theFirstOneIsMadeAt}
    </p>
  </Door>
{:else}
  <Door title={says.signIn}>
    <AccountForm
      action="Sign in"
      onsend={signIn}
      fields={[
        { name: 'email', label: says.email, type: 'email', autocomplete: 'username' },
        { name: 'password', label: says.password, type: 'password', autocomplete: 'current-password' }
      ]}
    >
      <p class="text-[0.93em] text-quiet">
        {says.onAPhoneScanTheCode} <strong>{says.crewAddADevice}</strong>
        {says.showsOnAScreenWhereYou}
      </p>
    </AccountForm>
  </Door>
{/if}
