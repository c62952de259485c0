<script lang="ts">
  import { errorPage as say } from '$lib/frame/words';
  import { page } from '$app/state';
</script>

<h1>{page.status === 404 ? say.notHere : say.thisPageCannotBeShownNow}</h1>
<p>
  {page.route.id === null ? say.thereIsNoPageAtThis : page.error?.message}
</p>
<p>
  <a href="/">{say.allBriefs}</a> ·
  <a href={page.url.pathname + page.url.search} data-sveltekit-reload>{say.tryAgain}</a>
</p>

<style>
  p {
    margin-top: 10px;
  }
</style>
