<script lang="ts">
  import { errorPage as say } from '$lib/frame/words';
  import { page } from '$app/state';
</script>

<h1>{page.status === 404 ? say.pageNotFound : say.couldntLoadThisPage}</h1>
<p>
  {page.route.id === null ? say.theresNoPageAtThisAddress : page.error?.message}
</p>
<p>
  <a href="/">{say.allBriefs}</a> ·
  <a href={page.url.pathname + page.url.search} data-sveltekit-reload>{say.retry}</a>
</p>

<style>
  p {
    margin-top: 10px;
  }
</style>
