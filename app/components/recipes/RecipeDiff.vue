<script setup lang="ts">
import { computed } from 'vue'
import type { RevisionView } from '#shared/contracts/recipes'
import { diffRecipes } from '#shared/recipes/diff-recipes'
import { useNotation } from '~/composables/use-notation'
import { fieldWords, valueWords } from './recipe-words'

/** What changed between two revisions. */
const props = defineProps<{ before: RevisionView; after: RevisionView }>()
const { as } = useNotation()
const changes = computed(() => diffRecipes(props.before.recipe, props.after.recipe))
</script>

<template>
  <section class="stack-tight" aria-labelledby="diff-head">
    <h3 id="diff-head">From revision {{ before.number }} to {{ after.number }}</h3>
    <table v-if="changes.length" class="ruled">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Revision {{ before.number }}</th>
          <th scope="col">Revision {{ after.number }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(change, i) in changes" :key="i">
          <td>{{ fieldWords(change.field) }}</td>
          <td>
            <del>{{ valueWords(change.field, change.before, as) }}</del>
          </td>
          <td>
            <ins>{{ valueWords(change.field, change.after, as) }}</ins>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft">Nothing is different.</p>
  </section>
</template>

<style scoped>
ins {
  text-decoration: none;
  font-weight: 600;
}
del {
  color: var(--soft);
}
</style>
