<script setup lang="ts">
import { computed, ref } from 'vue'
import { navigateTo } from '#imports'
import { recipeFile, RECIPE_FORMAT, RECIPE_VERSION, type Recipe, type RecipeView } from '#shared/contracts/recipes'
import { faultsOf } from '#shared/contracts/issues'
import { wordsFor, wordsOf } from '#shared/messages/refusals/catalogue'
import { METHOD_WORDS } from '#shared/messages/verdict'
import { STARTERS } from '#shared/recipes/starters'
import { applyRecipe } from '~/components/bench/apply-recipe'
import { emptyBench } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import RecipeEdit from '~/components/recipes/RecipeEdit.vue'
import RecipeSheet from '~/components/recipes/RecipeSheet.vue'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/composables/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import type { BenchView } from '#shared/contracts/lots'
import { useSession } from '~/stores/session'

const session = useSession()
const { as } = useNotation()
const recorded = useRecorded()
const { view: recipes, problem, load, ask } = useLoaded<RecipeView[]>('/api/recipes')
const code = ref<string | null>(null)
const editing = ref<{ from: Recipe; code: string | null } | null>(null)
const withRetired = ref(false)
const fault = ref('')
const { save, message } = useSave<{ codes: string[] }>()
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
async function take(file: unknown): Promise<void> {
  const checked = recipeFile.safeParse(file)
  const wrong = checked.success ? null : faultsOf(checked.error)[0]!
  fault.value = wrong ? `${wrong.path.join('.') || 'The file'}: ${wordsFor(wrong.code, wrong.params, as.value)}` : ''
  if (wrong) return
  const done = await save('/api/recipes/import', file)
  if (!done) return
  recorded(`${done.codes.length} recipes are in the book.`, null, load)
  await saved(done.codes[0]!)
}
async function fromFile(event: Event): Promise<void> {
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  try {
    await take(JSON.parse(await file.text()))
  }
  catch (error) {
    if (!(error instanceof SyntaxError)) throw error
    fault.value = wordsOf('not_a_recipe_file', {}, as.value)
  }
  ;(event.target as HTMLInputElement).value = ''
}
function toFile(list: readonly Recipe[], name: string): void {
  const url = URL.createObjectURL(
    new Blob([`${JSON.stringify({ format: RECIPE_FORMAT, version: RECIPE_VERSION, recipes: list }, null, 2)}\n`], {
      type: 'application/json',
    }),
  )
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  URL.revokeObjectURL(url)
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
        <label class="file big-target">Take in a file<input type="file" accept="application/json,.json" class="visually-hidden" @change="fromFile" /></label>
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
    <SaveProblem :message="message" />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!recipes" class="empty">Turning the pages…</p>
    <div v-else-if="!recipes.length" class="empty">
      <p>No recipe yet.</p>
      <VBtn
        v-if="session.mayWrite"
        color="primary"
        @click="take({ format: RECIPE_FORMAT, version: RECIPE_VERSION, recipes: STARTERS })"
      >
        Begin with the ten starters
      </VBtn>
    </div>
    <div v-else class="book">
      <nav class="names no-print" aria-label="Recipes">
        <button
          v-for="one in shown"
          :key="one.code"
          type="button"
          class="plain name"
          :aria-current="one === open"
          @click="show(one.code)"
        >
          <strong>{{ one.name }}</strong><span class="small soft">{{ one.code }}, {{ one.revisions[0]!.recipe.cut }},
            {{ METHOD_WORDS[one.revisions[0]!.recipe.method].name.toLowerCase()
            }}<template v-if="one.revisions.length > 1">, {{ one.revisions.length }} revisions</template><template v-if="one.retired">, put away</template></span>
        </button>
        <VCheckbox
          v-if="recipes.some(one => one.retired)"
          v-model="withRetired"
          label="Those put away too"
          hide-details
        />
      </nav>
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
          <div class="ruled-head">
            <h2>
              {{ open.name }} <span class="code small">{{ open.code }}</span>
            </h2>
            <div class="row no-print">
              <template v-if="session.mayWrite">
                <VBtn color="primary" @click="toBench">Lay it on the Bench</VBtn>
                <VBtn variant="outlined" @click="editing = { from: latest.recipe, code: open.code }">
                  Revise
                </VBtn>
                <VBtn
                  variant="outlined"
                  @click="
                    editing = {
                      from: { ...latest.recipe, name: `${latest.recipe.name.slice(0, 70)}, copy` },
                      code: null,
                    }
                  "
                >
                  Duplicate
                </VBtn>
                <VBtn variant="text" @click="retire">
                  {{
                    open.retired ? 'Take out again' : 'Put away'
                  }}
                </VBtn>
              </template>
              <VBtn variant="text" @click="toFile([latest.recipe], `${open.code}.json`)">To a file</VBtn>
            </div>
          </div>
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
