<script setup lang="ts">
/** What was wrong, what was kept, what to do; announced when it appears. */
withDefaults(defineProps<{ message: string; lead?: string; calm?: boolean }>(), { lead: 'Not saved.' })
</script>

<template>
  <div role="alert" aria-live="assertive" class="save-problem">
    <p v-if="message" class="caution" :class="calm ? 'calm' : 'grave'">
      <strong>{{ lead }}</strong> {{ message }}
    </p>
  </div>
</template>

<style scoped>
/* Silent, it takes no room in a stack. */
.save-problem:empty {
  position: absolute;
}
</style>
