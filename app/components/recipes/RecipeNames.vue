<script setup lang="ts">
import type { RecipeView } from '#shared/contracts/recipes'
import { nameLine } from './recipe-words'

/** The recipes in the book, one of them open. */
defineProps<{ shown: RecipeView[]; open: RecipeView | null; anyRetired: boolean }>()
const emit = defineEmits<{ show: [code: string] }>()
const withRetired = defineModel<boolean>('withRetired', { required: true })
</script>

<template>
  <nav class="names no-print" aria-label="Recipes">
    <button
      v-for="one in shown"
      :key="one.code"
      type="button"
      class="plain name"
      :aria-current="one === open"
      @click="emit('show', one.code)"
    >
      <strong>{{ one.name }}</strong>
      <span class="small soft">{{ nameLine(one) }}</span>
    </button>
    <VCheckbox v-if="anyRetired" v-model="withRetired" label="Those put away too" hide-details />
  </nav>
</template>

<style scoped>
.names {
  display: grid;
  border-top: 2px solid var(--peat);
}
.name {
  text-align: left;
  display: grid;
  gap: 0.1rem;
  padding: 0.7rem 0.4rem 0.7rem 0.7rem;
  border: 0;
  border-bottom: 1px solid var(--hair);
  background: none;
  min-height: 56px;
  cursor: pointer;
  color: inherit;
}
.name[aria-current='true'] {
  box-shadow: inset 4px 0 0 var(--heather);
}
</style>
