<script lang="ts">
  import Dialog from '$lib/ui/Dialog.svelte';

  const { onclose }: { onclose: () => void } = $props();
  const KEYS: readonly (readonly [readonly string[], string])[] = [
    [['↑', '↓'], 'move from line to line (also K, J)'],
    [['Enter'], 'open the line, or fold it'],
    [['N'], 'say a new line'],
    [['E'], 'edit the line in words'],
    [['B'], 'build the line by pointing: box, run, input'],
    [['1', '5'], 'apply a remedy of the open line'],
    [['W'], 'all ways of the line, side by side'],
    [['A'], 'another line from the same source: its words are begun'],
    [['H'], 'hiss and hum of the open line, then its findings again'],
    [['C'], 'its contacts, drawn'],
    [['T'], 'its tolerance, and what moves it'],
    [['I'], 'name, channel, exposure, what is wanted'],
    [['D'], 'duplicate the line'],
    [['Del'], 'delete the line'],
    [['Ctrl', 'C'], 'copy the line in words; Ctrl V adds pasted lines'],
    [['Ctrl', 'Z'], 'undo'],
    [['Ctrl', 'Shift', 'Z'], 'redo (also Ctrl Y)'],
    [['F'], 'show only what is wrong, then all again'],
    [['S'], 'sort by channel or by verdict'],
    [['Esc'], 'leave, fold, close'],
    [['?'], 'this list']
  ];
</script>

<Dialog title="Keys" {onclose}>
  <dl class="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1.5">
    {#each KEYS as [keys, text] (text)}
      <dt class="text-right">
        {#each keys as key, k (k)}{#if k > 0}&nbsp;{/if}<kbd class="key">{key}</kbd>{/each}
      </dt>
      <dd>{text}</dd>
    {/each}
  </dl>
</Dialog>
