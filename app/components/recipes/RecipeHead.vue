<script setup lang="ts">
import { computed } from 'vue'
import type { Recipe, RecipeView } from '#shared/contracts/recipes'
import { useSession } from '~/stores/session'
import { toFile } from './use-recipe-file'

/** The open recipe's name, and all that is done with it. */
const props = defineProps<{ recipe: RecipeView }>()
const emit = defineEmits<{ bench: []; edit: [from: Recipe, code: string | null]; retire: [] }>()
const session = useSession()
const latest = computed(() => props.recipe.revisions[0]!.recipe)
/** Room for what a copy's name says beside the first one's. */
const COPIED_LETTERS = 70
const copy = computed(() => ({ ...latest.value, name: `${latest.value.name.slice(0, COPIED_LETTERS)}, copy` }))
</script>

<template>
  <div class="ruled-head">
    <h2>
      {{ recipe.name }} <span class="code small">{{ recipe.code }}</span>
    </h2>
    <div class="row no-print">
      <template v-if="session.mayWrite">
        <VBtn color="primary" @click="emit('bench')">Lay it on the Bench</VBtn>
        <VBtn variant="outlined" @click="emit('edit', latest, recipe.code)">Revise</VBtn>
        <VBtn variant="outlined" @click="emit('edit', copy, null)">Duplicate</VBtn>
        <VBtn variant="text" @click="emit('retire')">{{ recipe.retired ? 'Take out again' : 'Put away' }}</VBtn>
      </template>
      <VBtn variant="text" @click="toFile([latest], `${recipe.code}.json`)">To a file</VBtn>
    </div>
  </div>
</template>
