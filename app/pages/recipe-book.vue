<script setup lang="ts">
import { computed, ref } from 'vue'
import { navigateTo } from '#imports'
import type { BenchView } from '#shared/contracts/lots'
import type { Recipe, RecipeView } from '#shared/contracts/recipes'
import { STARTERS } from '#shared/recipes/starters'
import { applyRecipe } from '~/components/bench/apply-recipe'
import { emptyBench } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import RecipeEdit from '~/components/recipes/RecipeEdit.vue'
import RecipeHead from '~/components/recipes/RecipeHead.vue'
import RecipeNames from '~/components/recipes/RecipeNames.vue'
import RecipeSheet from '~/components/recipes/RecipeSheet.vue'
import { toFile, useRecipeFile } from '~/components/recipes/use-recipe-file'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const session = useSession()
const recorded = useRecorded()
const { view: recipes, problem, load, ask } = useLoaded<RecipeView[]>('/api/recipes')
const code = ref<string | null>(null)
const editing = ref<{ from: Recipe; code: string | null } | null>(null)
const withRetired = ref(false)
const { save, message: unsaved } = useSave()
const { fault, message, fromFile, takeList } = useRecipeFile(async (codes) => {
  recorded(`${codes.length} recipes are in the book.`, null, load)
  await saved(codes[0]!)
})
const bench = useDraft('bench', emptyBench)
const shown = computed(() => (recipes.value ?? []).filter(one => withRetired.value || !one.retired))
const open = computed(() => shown.value.find(one => one.code === code.value) ?? shown.value[0] ?? null)
const latest = computed(() => open.value?.revisions[0] ?? null)

function show(which: string): void {
  code.value = which
  editing.value = null
}
async function saved(made: string): Promise<void> {
  editing.value = null
  await load()
  code.value = made
}
async function retire(): Promise<void> {
  if (await save(`/api/recipes/${open.value!.code}/retired`, { retired: !open.value!.retired }, 'PUT')) await load()
}
async function toBench(): Promise<void> {
  const view = await ask<BenchView>('/api/bench')
  if (!view) return
  bench.draft.value = applyRecipe(bench.draft.value, open.value!, latest.value!.id, {
    ingredients: view.ingredients,
    today: view.today,
  })
  await navigateTo('/bench')
}
</script>

<template>
  <div>
    <PageHead
      title="Recipe book"
      sub="On green weight, for any meat. A change is the next revision; what was used stays as it was."
    >
      <template v-if="session.mayWrite && recipes">
        <VBtn
          data-key="n"
          color="primary"
          @click="editing = { from: { ...STARTERS[0]!, name: '', note: null }, code: null }"
        >
          New recipe
        </VBtn>
        <label class="file big-target">Take in a file
          <input type="file" accept="application/json,.json" class="visually-hidden" @change="fromFile" /></label>
      </template>
      <VBtn
        v-if="recipes?.length"
        variant="outlined"
        @click="
          toFile(
            shown.map(one => one.revisions[0]!.recipe),
            'recipes.json',
          )
        "
      >
        All to a file
      </VBtn>
    </PageHead>
    <p v-if="fault" class="caution grave" role="alert">{{ fault }} Nothing was taken over.</p>
    <SaveProblem :message="message || unsaved" />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!recipes" class="empty">Turning the pages…</p>
    <div v-else-if="!recipes.length" class="empty">
      <p>No recipe yet.</p>
      <VBtn
        v-if="session.mayWrite"
        color="primary"
        @click="takeList(STARTERS)"
      >
        Begin with the ten starters
      </VBtn>
    </div>
    <div v-else class="book">
      <RecipeNames
        v-model:with-retired="withRetired"
        :shown="shown"
        :open="open"
        :any-retired="recipes.some(one => one.retired)"
        @show="show"
      />
      <div class="stack">
        <RecipeEdit
          v-if="editing"
          :key="editing.code ?? 'new'"
          :from="editing.from"
          :code="editing.code"
          :next-number="(latest?.number ?? 0) + 1"
          @saved="saved"
          @close="editing = null"
        />
        <template v-else-if="open && latest">
          <RecipeHead
            :recipe="open"
            @bench="toBench"
            @edit="(from, which) => (editing = { from, code: which })"
            @retire="retire"
          />
          <RecipeSheet :recipe="open" />
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.book {
  display: grid;
  grid-template-columns: minmax(0, 17rem) minmax(0, 1fr);
  gap: 2.4rem;
  align-items: start;
}
.file {
  display: inline-flex;
  align-items: center;
  padding: 0 1.1rem;
  border: 1px solid var(--hair-strong);
  cursor: pointer;
  min-height: 56px;
  font-weight: 500;
}
.file:focus-within {
  outline: 3px solid var(--heather);
  outline-offset: 2px;
}
@media (--tablet) {
  .book {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
