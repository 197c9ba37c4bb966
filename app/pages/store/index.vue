<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from '#imports'
import type { IngredientView, MeatView, StoreView } from '#shared/contracts/store'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import IngredientForm from '~/components/store/IngredientForm.vue'
import IngredientTable from '~/components/store/IngredientTable.vue'
import DeliveryForm from '~/components/store/DeliveryForm.vue'
import PartyList from '~/components/store/PartyList.vue'
import MeatTable from '~/components/store/MeatTable.vue'
import { useLoaded } from '~/api/use-loaded'
import { usePages } from '~/composables/use-pages'
import { useSession } from '~/stores/session'

const session = useSession()
/** All that came in; more of it is asked for a page at a time. */
const allMeat = usePages<MeatView>(before => `/api/store/meat?before=${before}`)
const allIngredients = usePages<IngredientView>(before => `/api/store/ingredients?before=${before}`)
const newestFirst = <R extends { code: string }>(rows: R[]): R[] =>
  [...new Map(rows.map(row => [row.code, row])).values()].toSorted(
    (a, b) => b.code.length - a.code.length || (a.code < b.code ? 1 : -1),
  )
const { view, problem, load } = useLoaded<StoreView>('/api/store', {
  taken: ({ newest }) => {
    allMeat.begin(newest.meat)
    allIngredients.begin(newest.ingredients)
  },
})
const meat = computed(() => newestFirst([...(view.value?.meat ?? []), ...allMeat.rows.value]))
const ingredients = computed(() => newestFirst([...(view.value?.ingredients ?? []), ...allIngredients.rows.value]))
const route = useRoute()
const RECEIVE = ['meat', 'ingredient'] as const
/** Today's first steps lead straight to the form. */
const open = ref<(typeof RECEIVE)[number] | null>(RECEIVE.find(what => what === route.query.receive) ?? null)
async function done(): Promise<void> {
  open.value = null
  await load()
}
</script>

<template>
  <div>
    <PageHead title="Store" sub="What came in, from whom, and what is left of it.">
      <template v-if="session.mayWrite">
        <VBtn
          data-key="n"
          :color="open === 'meat' ? undefined : 'primary'"
          @click="open = open === 'meat' ? null : 'meat'"
        >
          {{ open === 'meat' ? 'Put aside' : 'Receive meat' }}
        </VBtn>
        <VBtn variant="outlined" @click="open = open === 'ingredient' ? null : 'ingredient'">
          {{
            open === 'ingredient' ? 'Put aside' : 'Receive an ingredient'
          }}
        </VBtn>
      </template>
    </PageHead>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <DeliveryForm v-if="open === 'meat'" @saved="done" />
      <IngredientForm v-if="open === 'ingredient'" @saved="done" />
      <section aria-labelledby="meat-list">
        <h2 id="meat-list">Meat</h2>
        <p v-if="!meat.length" class="empty">
          No delivery yet. Press “Receive meat” when the first one is at the door.
        </p>
        <MeatTable v-else :meat="meat" @changed="load" />
        <VBtn
          v-if="allMeat.more.value"
          variant="outlined"
          class="mt-3"
          :loading="allMeat.loading.value"
          @click="allMeat.older"
        >
          Older deliveries
        </VBtn>
      </section>
      <section aria-labelledby="dry-list">
        <div class="ruled-head">
          <h2 id="dry-list">Salts, sugars, spices</h2>
          <div class="row">
            <VBtn v-if="session.mayWrite" variant="text" to="/store/mix">Make a bulk mix</VBtn>
            <VBtn variant="outlined" to="/store/salt-ledger">Curing-salt ledger</VBtn>
          </div>
        </div>
        <p v-if="!ingredients.length" class="empty">
          Nothing on the shelf yet. Receive the curing salt with its certificate first.
        </p>
        <IngredientTable v-else :ingredients="ingredients" @changed="load" />
        <VBtn
          v-if="allIngredients.more.value"
          variant="outlined"
          class="mt-3"
          :loading="allIngredients.loading.value"
          @click="allIngredients.older"
        >
          Older bags
        </VBtn>
      </section>
      <PartyList :first="view.parties" @saved="load" />
    </div>
  </div>
</template>
