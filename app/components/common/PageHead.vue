<script setup lang="ts">
defineProps<{ title: string; sub?: string; code?: string }>()
</script>

<template>
  <div class="page-head">
    <div>
      <h1>
        {{ title }} <span v-if="code" class="code">{{ code }}</span>
      </h1>
      <p v-if="sub" class="soft">{{ sub }}</p>
    </div>
    <div class="row no-print"><slot /></div>
  </div>
</template>

<style scoped>
.page-head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 0.75rem 1.5rem;
  margin-bottom: 1.2rem;
}
</style>
