<script lang="ts">
  import { dateField as say } from './words';
  import DatePicker from 'carbon-components-svelte/src/DatePicker/DatePicker.svelte';
  import DatePickerInput from 'carbon-components-svelte/src/DatePicker/DatePickerInput.svelte';

  interface Props {
    label: string;
    hideLabel?: boolean;
    /** A day as ISO 8601 writes it, or nothing. */
    value: string;
    onchange: (day: string) => void;
  }
  let { label, hideLabel = false, value, onchange }: Props = $props();

  type Change = string | { dateStr: string | { from: string; to: string } };
  function picked({ detail }: CustomEvent<Change>) {
    const day = typeof detail === 'string' ? detail : detail.dateStr;
    if (typeof day === 'string' && day !== value) onchange(day);
  }
</script>

<!-- A day, typed or picked from a calendar. -->
<DatePicker datePickerType="single" dateFormat="Y-m-d" {value} on:change={picked}>
  <DatePickerInput size="sm" labelText={label} {hideLabel} placeholder={say.yyyyMmDd} />
</DatePicker>
