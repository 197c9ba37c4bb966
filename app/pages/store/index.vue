<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute } from '#imports'
import type { Problem } from '#shared/contracts/problem'
import type { StoreView } from '#shared/contracts/store'
import { read } from '~/api/client'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import IngredientForm from '~/components/store/IngredientForm.vue'
import IngredientTable from '~/components/store/IngredientTable.vue'
import DeliveryForm from '~/components/store/DeliveryForm.vue'
import PartyList from '~/components/store/PartyList.vue'
import MeatTable from '~/components/store/MeatTable.vue'
import { useSession } from '~/stores/session'

const session = useSession()
const view = ref<StoreView | null>(null)
const lost = ref<Problem | null>(null)
const route = useRoute()
const RECEIVE = ['meat', 'ingredient'] as const
/** Today's first steps lead straight to the form. */
const open = ref<(typeof RECEIVE)[number] | null>(RECEIVE.find(what => what === route.query.receive) ?? null)
async function load(): Promise<void> {
  const reply = await read<StoreView>('/api/store')
  if (reply.ok) view.value = reply.value
  lost.value = reply.ok ? null : reply.problem
}
async function done(): Promise<void> {
  open.value = null
  await load()
}
onMounted(load)
</script>

<template>
  <div>
    <PageHead title="Store" sub="What came in, from whom, and what is left of it.">
      <template v-if="session.mayWrite">
        <VBtn data-key="n" class="floor" :color="open === 'meat' ? undefined : 'primary'" @click="open = open === 'meat' ? null : 'meat'">{{ open === 'meat' ? 'Put aside' : 'Receive meat' }}</VBtn>
        <VBtn class="floor" variant="outlined" @click="open = open === 'ingredient' ? null : 'ingredient'">{{ open === 'ingredient' ? 'Put aside' : 'Receive an ingredient' }}</VBtn>
      </template>
    </PageHead>
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <p v-else-if="!view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <DeliveryForm v-if="open === 'meat'" :suppliers="view.suppliers" @saved="done" />
      <IngredientForm v-if="open === 'ingredient'" :suppliers="view.suppliers" @saved="done" />
      <section aria-labelledby="meat-list">
        <h2 id="meat-list">Meat</h2>
        <p v-if="!view.meat.length" class="empty">No delivery yet. Press “Receive meat” when the first one is at the door.</p>
        <MeatTable v-else :meat="view.meat" @changed="load" />
      </section>
      <section aria-labelledby="dry-list">
        <div class="ruled-head"><h2 id="dry-list">Salts, sugars, spices</h2><div class="row"><VBtn v-if="session.mayWrite" class="floor" variant="text" to="/store/mix">Make a bulk mix</VBtn><VBtn class="floor" variant="outlined" to="/store/salt-ledger">Curing-salt ledger</VBtn></div></div>
        <p v-if="!view.ingredients.length" class="empty">Nothing on the shelf yet. Receive the curing salt with its certificate first.</p>
        <IngredientTable v-else :ingredients="view.ingredients" @changed="load" />
      </section>
      <PartyList :parties="view.parties" @saved="load" />
    </div>
  </div>
</template>
