<script lang="ts">
  import { page } from '$app/state';
</script>

<h1>{page.status === 404 ? 'Not here' : 'This page cannot be shown now'}</h1>
<p>
  {page.route.id === null
    ? 'There is no page at this address. Look it over for a slip, or begin with all briefs.'
    : page.error?.message}
</p>
<p><a href="/">All briefs</a> · <a href={page.url.pathname + page.url.search} data-sveltekit-reload>Try again</a></p>

<style>
  p {
    margin-top: 10px;
  }
</style>
