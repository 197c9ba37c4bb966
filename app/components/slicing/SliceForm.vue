<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiClose } from '@mdi/js'
import { localDay } from '#core/calendar/local-day'
import { massBalance, OFFCUT_KINDS, type OffcutKind } from '#core/slicing/mass-balance'
import { parseWeight } from '#core/units/parse-weight'
import { OFFCUT_RANGE, PACK_RANGE, PIECE_RANGE } from '#shared/contracts/fields'
import type { LotView } from '#shared/contracts/lots'
import { slicingInput } from '#shared/contracts/slicing'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import CheckAsk from '~/components/common/CheckAsk.vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useClock } from '~/composables/use-clock'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'
import BalanceTable from './BalanceTable.vue'

const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const nowMs = useClock()
const { as, meat } = useNotation()
const recorded = useRecorded()
const READY_RANGE = { ...PIECE_RANGE, maxG: 500_000 }
interface Draft {
  ready: string
  entry: string
  kind: 'sliced' | 'ends'
  packs: { kind: 'sliced' | 'ends'; weight: string }[]
  offcuts: Partial<Record<OffcutKind, string>>
  scaleId: number | null
}
const { draft, clear } = useDraft(`slice-${props.lot.code}`, (): Draft => ({
  ready: '',
  entry: '',
  kind: 'sliced',
  packs: [],
  offcuts: {},
  scaleId: null,
}))
const { save, saving, errorAt, message, problem, forget } = useSave<{ packCodes: string[] }>(slicingInput)
const refused = ref('')
const netOf = (text: string, range = PACK_RANGE) => {
  const parsed = parseWeight(text, range)
  return parsed.ok ? parsed.value.netG : 0
}
const offcutsTyped = computed(() =>
  OFFCUT_KINDS.flatMap(kind =>
    draft.value.offcuts[kind]?.trim() ? [{ kind, weight: draft.value.offcuts[kind]! }] : [],
  ),
)
const balance = computed(() => {
  const offcutsG: Partial<Record<OffcutKind, number>> = {}
  for (const offcut of props.lot.offcuts) offcutsG[offcut.kind] = (offcutsG[offcut.kind] ?? 0) + offcut.massG
  for (const { kind, weight } of offcutsTyped.value)
    offcutsG[kind] = (offcutsG[kind] ?? 0) + netOf(weight, OFFCUT_RANGE)
  return {
    offcutsG,
    packsG: props.lot.packsG + draft.value.packs.reduce((sum, pack) => sum + netOf(pack.weight), 0),
    readyG: draft.value.ready.trim() ? netOf(draft.value.ready, READY_RANGE) || null : props.lot.readyG,
  }
})
const result = computed(() => massBalance({ greenG: props.lot.greenG, ...balance.value }))

function add(): void {
  const parsed = parseWeight(draft.value.entry, PACK_RANGE)
  refused.value = parsed.ok ? '' : wordsFor(parsed.code, parsed.params, as.value)
  if (!parsed.ok) return
  draft.value.packs.push({ kind: draft.value.kind, weight: draft.value.entry.trim() })
  draft.value.entry = ''
}
async function record(unchecked = false): Promise<void> {
  const done = await save(`/api/lots/${props.lot.code}/slicing`, {
    readyWeight: draft.value.ready.trim() ? draft.value.ready : null,
    packedOn: localDay(nowMs.value, session.zone),
    scaleId: draft.value.scaleId,
    unchecked,
    packs: draft.value.packs,
    offcuts: offcutsTyped.value,
  })
  if (!done) return
  clear()
  recorded(
    done.packCodes.length
      ? `${done.packCodes.length} packs: ${done.packCodes[0]} to ${done.packCodes.at(-1)}.`
      : 'Recorded.',
    done.eventId,
    async () => emit('saved'),
  )
  emit('saved')
}
</script>

<template>
  <form class="slice" @submit.prevent>
    <div class="stack">
      <h2>
        Slabs and packs of <span class="code">{{ lot.code }}</span>
      </h2>
      <p class="caution">
        Sharp slicer: guard on, hands dry. Cured is not shelf-stable, and vacuum is not preservation: fridge or freezer
        at once. Cook before eating.
      </p>
      <WeightField
        v-model="draft.ready"
        :label="lot.readyG ? `Ready to slice, recorded ${meat(lot.readyG)}` : 'Ready to slice, all slabs'"
        :range="READY_RANGE"
        :error="errorAt('readyWeight')"
      />
      <InstrumentSelect
        v-model="draft.scaleId"
        kind="scale"
        purpose="slicing"
        label="Weighed on"
        :error="errorAt('scaleId')"
      />
      <VBtnToggle v-model="draft.kind" mandatory variant="outlined" aria-label="Kind of pack">
        <VBtn value="sliced">Sliced</VBtn><VBtn value="ends">Ends</VBtn>
      </VBtnToggle>
      <div class="entry">
        <WeightField
          v-model="draft.entry"
          label="Next pack, net weight"
          :range="PACK_RANGE"
          :error="refused || errorAt('packs') || undefined"
          @enter="add"
          @update:model-value="refused = ''"
        />
        <VBtn color="primary" @click="add">Add</VBtn>
      </div>
      <ol class="packs">
        <li v-for="(pack, i) in draft.packs" :key="i">
          <span>{{ meat(netOf(pack.weight)) }}{{ pack.kind === 'ends' ? ' ends' : '' }}</span><VBtn
            variant="text"
            density="comfortable"
            :icon="mdiClose"
            :aria-label="`Take pack ${i + 1} off`"
            @click="draft.packs.splice(i, 1)"
          />
        </li>
      </ol>
      <CheckAsk asked="before_slicing" :place-id="null" @checked="forget" />
      <SaveProblem :message="message" />
      <VBtn v-if="problem?.code === 'not_checked'" variant="outlined" :loading="saving" @click="record(true)">Without the check</VBtn>
      <div>
        <VBtn color="primary" size="large" :loading="saving" @click="record()">
          {{
            draft.packs.length ? `Record ${draft.packs.length} ${draft.packs.length === 1 ? 'pack' : 'packs'}` : 'Record'
          }}
        </VBtn>
      </div>
    </div>
    <div class="stack">
      <h2>Ends, rind, fat and the rest</h2>
      <div class="offcuts">
        <WeightField
          v-for="kind in OFFCUT_KINDS"
          :key="kind"
          :model-value="draft.offcuts[kind] ?? ''"
          :label="kind"
          :range="OFFCUT_RANGE"
          @update:model-value="draft.offcuts[kind] = $event"
        />
      </div>
      <BalanceTable :green-g="lot.greenG" :parts="balance" :balance="result" />
    </div>
  </form>
</template>

<style scoped>
.slice {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2.5rem;
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6.5rem;
  gap: 0.6rem;
  align-items: start;
}
.offcuts {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.6rem;
}
.packs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
  gap: 0 1.2rem;
  margin: 0;
  padding-left: 1.6rem;
}
.packs li {
  border-bottom: 1px solid var(--hair);
}
.packs li > span {
  display: inline-block;
  min-width: 5rem;
}
@media (--tablet) {
  .slice {
    grid-template-columns: minmax(0, 1fr);
  }
  .offcuts {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
