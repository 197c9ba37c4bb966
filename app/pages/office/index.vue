<script setup lang="ts">
/** The cabinet with every drawer shut: its fronts are all there is to see. */
</script>

<template>
  <p class="soft small">Every drawer is found by its name, too, in the field above.</p>
</template>

<style scoped>
p {
  margin-top: 1rem;
}
</style>
