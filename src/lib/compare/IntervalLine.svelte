<script lang="ts">
  import type { Interval } from '$core/measure';

  let { share, interval }: { share: number; interval: Interval } = $props();
  const x = (value: number) => 5 + value * 166;
</script>

<svg width="176" height="14" aria-hidden="true">
  <line x1="5" x2="171" y1="7" y2="7" stroke="var(--rule)" />
  <line x1={x(interval.low)} x2={x(interval.high)} y1="7" y2="7" stroke="var(--accent)" stroke-width="2" />
  <circle cx={x(share)} cy="7" r="5" fill="var(--accent)" />
</svg>

<style>
  svg {
    display: block;
  }
</style>
