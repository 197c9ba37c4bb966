<script setup lang="ts">
/** What was wrong, what was kept, what to do; announced when it appears. */
defineProps<{ message: string }>()
</script>

<template>
  <div role="alert" aria-live="assertive">
    <p v-if="message" class="caution grave"><strong>Not saved.</strong> {{ message }}</p>
  </div>
</template>
