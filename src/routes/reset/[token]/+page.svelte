<script lang="ts">
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

<Door title="A new password">
  <AccountForm
    action="Set it"
    onsend={set}
    fields={[
      {
        name: 'password',
        label: 'Password',
        type: 'password',
        autocomplete: 'new-password',
        hint: 'Ten characters or more. Every device is signed out.',
        least: 10
      }
    ]}
  />
</Door>
