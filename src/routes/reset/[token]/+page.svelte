<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import AccountForm from '$lib/crew/AccountForm.svelte';
  import Door from '$lib/crew/Door.svelte';
  import { send } from '$lib/ui/send';

  const { data } = $props();
  async function set({ password }: Readonly<Record<string, string>>): Promise<string | null> {
    const sent = await send('POST', '/api/auth/reset-password', { newPassword: password, token: data.token });
    if (!sent.ok) return sent.message;
    location.assign('/sign-in');
    return null;
  }
</script>

<Door title={says.aNewPassword}>
  <AccountForm
    action="Set it"
    onsend={set}
    fields={[
      {
        name: 'password',
        label: says.password,
        type: 'password',
        autocomplete: 'new-password',
        hint: says.tenCharactersOrMoreEveryDevice,
        least: 10
      }
    ]}
  />
</Door>
