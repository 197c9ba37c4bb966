<script setup lang="ts">
import { reactive } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { US_RULES } from '#core/rules/us-rules'
import type { ShopView } from '#shared/contracts/lots'
import { rulesConfirmationInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = defineProps<{ shop: ShopView }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const nowMs = useClock()
const { ppm, date } = useNotation()
const { say } = useNotice()
const form = reactive({ confirmedBy: session.user?.name ?? '', confirmedOn: localDay(nowMs.value, props.shop.zone), reference: '' })
const { save, saving, errorAt, message } = useSave(rulesConfirmationInput)
const rows = US_RULES.rows.filter(row => row.method === 'dry')
async function confirm(): Promise<void> {
  if (!await save('/api/office/rules', { ...form })) return
  say('The rule set is confirmed.')
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="rules-head">
    <h2 id="rules-head">Rule set: {{ US_RULES.jurisdiction }}</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead><tr><th scope="col">Cut, dry cure</th><th scope="col">Rind</th><th scope="col" class="num">Floor</th><th scope="col" class="num">Limit</th><th scope="col">Source</th></tr></thead>
        <tbody><tr v-for="row in rows" :key="row.id"><td>{{ row.cutGroup === 'belly' ? 'belly' : 'loin, shoulder, jowl' }}</td><td>{{ row.rind }}</td><td class="num">{{ ppm(US_RULES.floorPpm) }}</td><td class="num">{{ ppm(row.maxPpm) }}</td><td class="small soft">{{ row.source }}</td></tr></tbody>
      </table>
    </div>
    <p class="row"><StateMark :tone="shop.confirmed ? 'good' : 'act'">{{ shop.confirmed ? 'confirmed' : 'not confirmed by this shop' }}</StateMark><span v-if="shop.confirmed">by {{ shop.confirmed.by }}, {{ date(shop.confirmed.on) }}: {{ shop.confirmed.reference }}</span></p>
    <form v-if="session.isOwner" class="stack-tight" @submit.prevent="confirm">
      <p>Compare these rows with the authority's current text. Nothing goes out before that.</p>
      <div class="fields">
        <VTextField v-model="form.confirmedBy" label="Compared by" :error-messages="errorAt('confirmedBy')" />
        <VTextField v-model="form.confirmedOn" type="date" label="On" :error-messages="errorAt('confirmedOn')" />
        <VTextField v-model="form.reference" label="Against (link or document)" :error-messages="errorAt('reference')" />
      </div>
      <SaveProblem :message="message" />
      <div><VBtn type="submit" class="floor" variant="outlined" :loading="saving">Confirm the rule set</VBtn></div>
    </form>
  </section>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 1fr 1fr 1.4fr; gap: .6rem; }
@media (max-width: 620px) { .fields { grid-template-columns: minmax(0, 1fr); } }
</style>
