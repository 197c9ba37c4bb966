<script setup lang="ts">
import { KILL_FROM_C } from '#core/rules/guideline'
import { HEAT_FROM_C } from '#core/rules/house'
import { computed, ref } from 'vue'
import { navigateTo } from '#imports'
import type { LotSummary } from '#shared/contracts/lots'
import { piecesWords } from '#shared/messages/pieces'
import type { PlaceView } from '#shared/contracts/places'
import { parseTemperature } from '#core/typed/parse-temperature'
import { runInput } from '#shared/contracts/smoke'
import CheckAsk from '~/components/common/CheckAsk.vue'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { goesOn, isFree } from '~/logic/which-pieces'
import { useSave } from '~/composables/use-save'

const props = defineProps<{ lots: LotSummary[]; places: PlaceView[] }>()
const smokers = computed(() => props.places.map(place => place.name))
const { as, meat, limit } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft('smoke', () => ({
  smoker: props.places[0]?.name ?? '',
  target: as.value.temperature === 'F' ? '145' : '63',
  pieceIds: [] as number[],
  core: null as number | null,
  chamber: null as number | null,
}))
const { save, saving, errorAt, message, problem, forget } = useSave<{ code: string }>(runInput)
const placeId = computed(() => props.places.find(place => place.name === draft.value.smoker)?.id ?? null)
const aimsCold = computed(() => {
  const found = parseTemperature(draft.value.target, as.value.temperature)
  return found.ok && found.value <= HEAT_FROM_C
})
const free = computed(() =>
  props.lots.map(lot => ({ ...lot, pieces: goesOn(lot) })).filter(lot => lot.pieces.length > 0),
)
/** Held pieces of each lot; null: all that could go. */
const held = computed(() =>
  props.lots.flatMap((lot) => {
    const mine = lot.pieces.filter(piece => isFree(piece) && lot.heldPieces.includes(piece.id))
    const all = mine.length === lot.pieces.filter(isFree).length
    return mine.length ? [{ code: lot.code, words: all ? '' : `, ${piecesWords(mine.map(piece => piece.label))},` }] : []
  }),
)
const has = (lot: LotSummary) => lot.pieces.every(piece => draft.value.pieceIds.includes(piece.id))
function toggleLot(lot: LotSummary): void {
  const ids = lot.pieces.map(piece => piece.id)
  draft.value.pieceIds = has(lot)
    ? draft.value.pieceIds.filter(id => !ids.includes(id))
    : [...new Set([...draft.value.pieceIds, ...ids])]
}
const toggle = (id: number) => {
  draft.value.pieceIds = draft.value.pieceIds.includes(id)
    ? draft.value.pieceIds.filter(other => other !== id)
    : [...draft.value.pieceIds, id]
}
const asked = ref({ unchecked: false, despite: null as string | null })
/** What was answered stands for the next try. */
async function start(answer: Partial<typeof asked.value> = {}): Promise<void> {
  Object.assign(asked.value, answer)
  const made = await save('/api/runs', {
    smoker: draft.value.smoker,
    pieceIds: draft.value.pieceIds,
    targetCore: { typed: draft.value.target, unit: as.value.temperature },
    coreThermometerId: draft.value.core,
    chamberThermometerId: draft.value.chamber,
    ...asked.value,
  })
  if (!made) return
  asked.value = { unchecked: false, despite: null }
  clear()
  recorded(`${made.code} is in the smoke.`, made.eventId, () => navigateTo('/smokehouse') as Promise<unknown>)
  await navigateTo(`/runs/${made.code}`)
}
</script>

<template>
  <form class="slip stack" aria-labelledby="start-head" @submit.prevent="start()">
    <h2 id="start-head">Start a smoke</h2>
    <p v-if="!free.length" class="soft">
      No lot is out of the cure and free to smoke. End a cure in the Cold room first.
    </p>
    <div v-for="lot in free" :key="lot.code" class="lot">
      <div>
        <LotCode :code="lot.code" /> {{ lot.cut }}
        <StateMark v-if="lot.saltOnly" tone="cold">salt only: core to {{ limit(KILL_FROM_C) }} within 4 h</StateMark>
      </div>
      <div class="row">
        <VBtn
          :variant="has(lot) ? 'flat' : 'outlined'"
          :color="has(lot) ? 'secondary' : undefined"
          :aria-pressed="has(lot)"
          @click="toggleLot(lot)"
        >
          All {{ lot.pieces.length }}
        </VBtn>
        <VBtn
          v-for="piece in lot.pieces"
          :key="piece.id"
          :variant="draft.pieceIds.includes(piece.id) ? 'flat' : 'outlined'"
          :color="draft.pieceIds.includes(piece.id) ? 'secondary' : undefined"
          :aria-pressed="draft.pieceIds.includes(piece.id)"
          @click="toggle(piece.id)"
        >
          {{ piece.label }}: {{ meat(piece.greenG) }}
        </VBtn>
      </div>
    </div>
    <p v-for="lot in held" :key="lot.code" class="soft">
      <LotCode :code="lot.code" />{{ lot.words }} is held and goes nowhere until the owner decides.
    </p>
    <div class="fields">
      <VSelect v-model="draft.smoker" :items="smokers" label="Smoker" :error-messages="errorAt('smoker')" />
      <TemperatureField v-model="draft.target" label="Pull at core" :error="errorAt('targetCore')" />
      <InstrumentSelect
        v-model="draft.core"
        kind="thermometer"
        purpose="core"
        for-core
        label="Core read on"
        :error="errorAt('coreThermometerId')"
      />
      <InstrumentSelect
        v-model="draft.chamber"
        kind="thermometer"
        purpose="chamber"
        label="Chamber read on"
        :error="errorAt('chamberThermometerId')"
      />
    </div>
    <p v-if="!smokers.length" class="caution">No place that heats is set up. The owner adds one in the Office.</p>
    <p v-if="aimsCold" class="caution">
      A smoke whose core stays under {{ limit(HEAT_FROM_C) }} is a cold smoke: it ends without a core reading, stays
      raw, and its hours count over all sessions. Salt-only: only under {{ limit(4) }}.
    </p>
    <p class="small soft">Pellicle first: dry and tacky all over, or the smoke goes on sooty and bitter.</p>
    <p v-if="errorAt('pieceIds')" class="caution grave" role="alert">{{ errorAt('pieceIds') }}</p>
    <CheckAsk asked="before_heat" :place-id="placeId" @checked="forget" />
    <SaveProblem :message="message" />
    <WhyAgainst :problem="problem" :saving="saving" @why="start({ despite: $event })" />
    <div class="row">
      <VBtn type="submit" color="primary" :loading="saving">Into the smoke</VBtn>
      <VBtn
        v-if="problem?.code === 'not_checked'"
        variant="outlined"
        :loading="saving"
        @click="start({ unchecked: true })"
      >
        Without the check
      </VBtn>
    </div>
  </form>
</template>

<style scoped>
.lot {
  display: grid;
  gap: 0.4rem;
}
.fields {
  align-items: start;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
  max-width: 620px;
}
</style>
