<script lang="ts">
  const home = "#/";
</script>

<div class="stack">
  <h1>Nothing at this address</h1>
  <p><a href={home}>Go to the garage</a></p>
</div>
