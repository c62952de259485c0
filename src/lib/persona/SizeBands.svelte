<script lang="ts">
  import { sizeBands as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import type { Persona } from '$core/persona';
  import LinesField from './LinesField.svelte';

  type Band = Persona['bands'][number];
  interface Props {
    bands: readonly Band[];
    notes: readonly string[];
    onchange: (bands: Band[]) => void;
  }
  let { bands, notes, onchange }: Props = $props();

  /** Sizes and titles stay as typed; the persona reports what isn't a number. */
  let typed: Record<string, string> = $state({});
  const put = (at: number, change: Partial<Band>) =>
    onchange(bands.map((band, i) => (i === at ? { ...band, ...change } : band)));
  function putSize(at: number, end: 'from' | 'to', text: string) {
    typed[`${at} ${end}`] = text;
    const plain = text.replaceAll(/[\s,.'](?=\d{3}\b)/g, '').trim();
    put(at, { [end]: plain === '' ? null : /^\d+$/.test(plain) ? Number(plain) : Number.NaN });
  }
  const shown = (at: number, end: 'from' | 'to') => {
    const value = bands[at]![end];
    const text = typed[`${at} ${end}`];
    return value !== null && Number.isNaN(value) ? (text ?? '') : value === null ? '' : String(value);
  };
  function add() {
    const last = bands.at(-1);
    onchange([...bands, { from: last?.to ? last.to + 1 : bands.length ? null : 1, to: null, titles: [] }]);
  }
</script>

<fieldset>
  <legend>{say.sizeBands}</legend>
  <p class="soft">{say.whoDecidesDependsOnFirmSize}</p>
  {#each bands as band, i (i)}
    <div class="band">
      <TextInput
        label={say.from}
        inline
        inputmode="numeric"
        aria-label={say.bandFrom(i + 1)}
        value={shown(i, 'from')}
        oninput={(e) => putSize(i, 'from', e.currentTarget.value)}
      />
      <TextInput
        label={say.toText}
        inline
        inputmode="numeric"
        aria-label={say.bandTo(i + 1)}
        placeholder={say.any}
        value={shown(i, 'to')}
        oninput={(e) => putSize(i, 'to', e.currentTarget.value)}
      />
      <LinesField
        label={say.titlesBand(i + 1)}
        hint=""
        rows={2}
        lines={band.titles}
        onchange={(titles) => put(i, { titles })}
      />
      <Button
        kind="ghost"
        type="button"
        aria-label={say.removeBand(i + 1)}
        onclick={() => onchange(bands.filter((_, at) => at !== i))}>✕</Button
      >
    </div>
  {/each}
  <Button type="button" onclick={add}>{say.addBand}</Button>
  {#each notes as note (note)}<p class="note">{note}</p>{/each}
</fieldset>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    display: grid;
    gap: 8px;
    justify-items: start;
    font-size: 13px;
  }
  legend {
    font-size: 12px;
    color: var(--soft);
    padding: 0;
  }
  .band {
    display: grid;
    grid-template-columns: auto auto 1fr auto;
    gap: 8px;
    align-items: start;
    width: 100%;
  }
  .band :global(label) {
    white-space: nowrap;
  }
  .band :global(input) {
    width: 58px;
  }
  .note {
    color: var(--warm);
  }
</style>
