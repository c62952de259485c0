<script lang="ts">
  import Toggletip from 'carbon-components-svelte/src/Toggletip/Toggletip.svelte';
  import { termPath } from './term-path';
  import { meanings, term as say, termNames, type Term } from './words';

  interface Props {
    of: Term;
    /** Shown in place of the term's name. */
    label?: string;
    align?: 'start' | 'center' | 'end';
    direction?: 'top' | 'bottom';
  }
  let { of, label = termNames[of], align = 'start', direction = 'bottom' }: Props = $props();
</script>

<!-- A term that explains itself in one sentence, with a link to the page of all terms. -->
<Toggletip {align} {direction} portalTooltip iconDescription={say.whatItMeans(termNames[of])} class="term">
  <svelte:fragment slot="icon">{label}</svelte:fragment>
  <p>{meanings[of]}</p>
  <p><a href={termPath(of)}>{say.allTerms}</a></p>
</Toggletip>
