<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { ScaleView, ShopView } from '#shared/contracts/lots'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import ConfirmRules from '~/components/office/ConfirmRules.vue'
import MyNotation from '~/components/office/MyNotation.vue'
import PeopleList from '~/components/office/PeopleList.vue'
import ScaleList from '~/components/office/ScaleList.vue'

export interface OfficeView { shop: ShopView, scales: ScaleView[], fridges: { id: number, name: string }[], people: { name: string, initials: string, signIn: string, role: string }[] }
const view = ref<OfficeView | null>(null)
const lost = ref<Problem | null>(null)
async function load(): Promise<void> {
  const reply = await read<OfficeView>('/api/office')
  if (reply.ok) view.value = reply.value
  lost.value = reply.ok ? null : reply.problem
}
onMounted(load)
</script>

<template>
  <div>
    <PageHead title="Office" :sub="view ? `${view.shop.name}, on the clock of ${view.shop.zone.replace('_', ' ')}` : ''" />
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <p v-else-if="!view" class="empty">Opening the drawer…</p>
    <div v-else class="office">
      <MyNotation />
      <ConfirmRules :shop="view.shop" @saved="load" />
      <PeopleList :people="view.people" @saved="load" />
      <ScaleList :scales="view.scales" @saved="load" />
    </div>
  </div>
</template>

<style scoped>
.office { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 2.2rem 2.8rem; align-items: start; }
@media (max-width: 860px) { .office { grid-template-columns: minmax(0, 1fr); } }
</style>
