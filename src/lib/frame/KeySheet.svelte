<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';

  let { open = $bindable() }: { open: boolean } = $props();

  const keys: [string, [string, string][]][] = [
    [
      'Everywhere',
      [
        ['?', 'this sheet'],
        ['Ctrl Z', 'undo'],
        ['Ctrl Y', 'redo'],
        ['g then 1–5', 'go to a step of the brief']
      ]
    ],
    [
      'String',
      [
        ['Ctrl Enter', 'run on the chosen sources'],
        ['Ctrl Space', 'complete a scope, a value, a title or @ a word set'],
        ['F8', 'next problem'],
        ['Ctrl .', 'take the fix offered at the cursor']
      ]
    ],
    [
      'Tree of the string',
      [
        ['↑ ↓', 'choose a part; ← → fold and unfold'],
        ['Alt ↑ ↓', 'move it, out of its group at the edge'],
        ['Enter', 'edit it'],
        ['+', 'add a part after it, or in the group'],
        ['X, M', 'exclude it, set it aside'],
        ['O, W, U', 'all or any, wrap, unwrap'],
        ['Del', 'remove it']
      ]
    ],
    [
      'Trial',
      [
        ['F, M, U', 'fit, miss, unsure'],
        ['1–6', 'reason'],
        ['← →', 'previous, next person'],
        ['N', 'write a reason of your own'],
        ['W', 'write a note on the person'],
        ['Backspace', 'take the verdict back']
      ]
    ]
  ];
</script>

<Modal passiveModal hasScrollingContent bind:open modalHeading="Keys" size="sm">
  {#each keys as [place, list] (place)}
    <h2>{place}</h2>
    <dl>
      {#each list as [key, does] (key)}
        <dt><kbd>{key}</kbd></dt>
        <dd>{does}</dd>
      {/each}
    </dl>
  {/each}
</Modal>

<style>
  dl {
    display: grid;
    grid-template-columns: 140px 1fr;
    gap: 6px 12px;
    margin: 8px 0 18px;
  }
</style>
