<script setup lang="ts">
import { OFFCUT_RANGE, PACK_RANGE, READY_RANGE } from '#core/rules/ranges'
import { sumOf } from '#core/lists/sum-of'
import { computed, ref } from 'vue'
import { mdiClose } from '@mdi/js'
import { localDay } from '#core/calendar/local-day'
import { happenedMs } from '#core/life/happened'
import { massBalance, OFFCUT_KINDS, type OffcutKind } from '#core/slicing/mass-balance'
import { parseWeight } from '#core/typed/parse-weight'
import type { LotView } from '#shared/contracts/lots'
import { slicingInput } from '#shared/contracts/slicing'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import PickOne from '~/components/steps/PickOne.vue'
import PieceChips from '~/components/steps/PieceChips.vue'
import ToldLate from '~/components/steps/ToldLate.vue'
import type { PressWhen } from '~/logic/press'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import CheckAsk from '~/components/common/CheckAsk.vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useClock } from '~/composables/use-clock'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { balanceOf, hereG } from '~/logic/lot-balance'
import { useSession } from '~/stores/session'
import BalanceTable from './BalanceTable.vue'
import { useTablePieces } from './use-table-pieces'

const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const nowMs = useClock()
const { as, meat } = useNotation()
const recorded = useRecorded()
interface Draft {
  ready: string
  entry: string
  kind: 'sliced' | 'ends'
  packs: { kind: 'sliced' | 'ends'; weight: string }[]
  offcuts: Partial<Record<OffcutKind, string>>
  scaleId: number | null
  pieces: number[]
  all: 'all' | null
}
const { draft, clear } = useDraft(`slice-${props.lot.code}`, (): Draft => ({
  ready: '',
  entry: '',
  kind: 'sliced',
  packs: [],
  offcuts: {},
  scaleId: null,
  pieces: [],
  all: null,
}))
const { save, saving, errorAt, message, problem, forget } = useSave<{ packCodes: string[] }>(slicingInput)
const refused = ref('')
const when = ref<{ at: PressWhen; words: string } | null>(null)
const ALL = [{ value: 'all', words: 'That was all of it' }] as const
const { there, chosen, pieces, fresh, readyLabel } = useTablePieces(() => props.lot, draft, meat)
const netOf = (text: string, range = PACK_RANGE) => {
  const parsed = parseWeight(text, range)
  return parsed.ok ? parsed.value.netG : 0
}
const offcutsTyped = computed(() =>
  OFFCUT_KINDS.flatMap(kind =>
    draft.value.offcuts[kind]?.trim() ? [{ kind, weight: draft.value.offcuts[kind]! }] : [],
  ),
)
const typedG = computed(() => (draft.value.ready.trim() ? netOf(draft.value.ready, READY_RANGE) : 0))
const balance = computed(() => {
  const before = balanceOf(props.lot)
  const offcutsG = { ...before.offcutsG }
  for (const { kind, weight } of offcutsTyped.value)
    offcutsG[kind] = (offcutsG[kind] ?? 0) + netOf(weight, OFFCUT_RANGE)
  const readyBeforeG = pieces.value === null ? 0 : (before.readyG ?? 0)
  return {
    ...before,
    offcutsG,
    packsG: before.packsG + sumOf(draft.value.packs, pack => netOf(pack.weight)),
    ...(typedG.value ? { readyG: readyBeforeG + typedG.value, hereG: hereG(props.lot, fresh.value) } : {}),
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
const NOTHING_ASKED = { unchecked: false, despite: null as string | null, overWhy: null as string | null }
const asked = ref({ ...NOTHING_ASKED })
const answer = (why: string) => record(problem.value?.code === 'packs_over_asked' ? { overWhy: why } : { despite: why })
/** What was answered stands for the next try. */
async function record(answer: Partial<typeof asked.value> = {}): Promise<void> {
  Object.assign(asked.value, answer)
  const done = await save(`/api/lots/${props.lot.code}/slicing`, {
    readyWeight: draft.value.ready.trim() ? draft.value.ready : null,
    pieces: pieces.value,
    all: draft.value.all !== null,
    packedOn: localDay(happenedMs(when.value?.at.when ?? { told: 'now' }, nowMs.value) ?? nowMs.value, session.zone),
    ...when.value?.at,
    scaleId: draft.value.scaleId,
    ...asked.value,
    packs: draft.value.packs,
    offcuts: offcutsTyped.value,
  })
  if (!done) return
  clear()
  when.value = null
  asked.value = { ...NOTHING_ASKED }
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
      <div v-if="there.length > 1" class="which">
        <span class="small">Which slabs? Nobody chosen, all are meant.</span>
        <PieceChips v-model="chosen" :pieces="there" pickable />
      </div>
      <WeightField
        v-model="draft.ready"
        :label="readyLabel"
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
      <PickOne v-model="draft.all" label="Is any left?" :choices="ALL" />
      <ToldLate v-model="when" :now-ms="nowMs" label="Sliced earlier?" />
      <CheckAsk asked="before_slicing" :place-id="null" @checked="forget" />
      <SaveProblem :message="message" />
      <WhyAgainst :problem="problem" :saving="saving" @why="answer" />
      <VBtn
        v-if="problem?.code === 'not_checked'"
        variant="outlined"
        :loading="saving"
        @click="record({ unchecked: true })"
      >
        Without the check
      </VBtn>
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
.which {
  display: grid;
  gap: 0.3rem;
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
