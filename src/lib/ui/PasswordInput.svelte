<script lang="ts">
  import { secretField as say } from './words';
  import PasswordInput from 'carbon-components-svelte/src/TextInput/PasswordInput.svelte';

  interface Props {
    label: string;
    value?: string;
    placeholder?: string;
    helperText?: string;
  }
  let { label, value = $bindable(''), ...rest }: Props = $props();
</script>

<!-- A line of text that is not shown, and that no browser is to fill in or keep. -->
<PasswordInput
  size="sm"
  labelText={label}
  bind:value
  autocomplete="off"
  showPasswordLabel={say.showKey}
  hidePasswordLabel={say.hideKey}
  {...rest}
/>
