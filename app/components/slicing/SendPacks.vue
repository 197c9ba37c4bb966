<script setup lang="ts">
import { computed, watch } from 'vue'
import { localDay } from '#core/calendar/local-day'
import type { LotSummary } from '#shared/contracts/lots'
import { dispatchInput, type UnsentPack } from '#shared/contracts/slicing'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import LotCode from '~/components/common/LotCode.vue'
import PartyField from '~/components/common/PartyField.vue'
import StateMark from '~/components/common/StateMark.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useClock } from '~/composables/use-clock'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = defineProps<{ lots: LotSummary[] }>()
const emit = defineEmits<{ sent: [] }>()
const session = useSession()
const nowMs = useClock()
const { meat, date } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft('send', () => ({ customer: '', codes: [] as string[] }))
const { save, saving, errorAt, message, problem: refused } = useSave<{ packs: number; noContact: boolean }>(dispatchInput)
const { view, problem, load } = useLoaded<UnsentPack[]>('/api/packs/unsent')
const packs = computed(() => view.value ?? [])
/** What came back waits for the owner. */
const free = computed(() => packs.value.filter(pack => !pack.cameBack))
const all = computed(() => free.value.length > 0 && free.value.every(pack => draft.value.codes.includes(pack.code)))

const toggle = (code: string) => {
  draft.value.codes = draft.value.codes.includes(code)
    ? draft.value.codes.filter(other => other !== code)
    : [...draft.value.codes, code]
}
async function sendOut(despite: string | null = null): Promise<void> {
  const done = await save('/api/dispatches', {
    customer: draft.value.customer,
    sentOn: localDay(nowMs.value, session.zone),
    packCodes: draft.value.codes,
    despite,
  })
  if (!done) return
  const whom = done.noContact ? ' Nobody wrote down how to reach them: do it in the Store, for the day packs must come back.' : ''
  recorded(`${done.packs} packs sent to ${draft.value.customer}.${whom}`, done.eventId, async () => emit('sent'))
  clear()
  emit('sent')
}
watch(() => props.lots, load)
</script>

<template>
  <section id="send" class="stack" aria-labelledby="send-head">
    <h2 id="send-head">Packs to send</h2>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <div class="row">
      <VBtn variant="outlined" @click="draft.codes = all ? [] : free.map(pack => pack.code)">
        {{
          all ? 'None' : `All ${free.length}`
        }}
      </VBtn>
      <span class="soft">{{ draft.codes.length }} chosen</span>
    </div>
    <ul>
      <li v-for="pack in packs" :key="pack.code">
        <label>
          <input
            type="checkbox"
            :checked="draft.codes.includes(pack.code)"
            :disabled="pack.cameBack"
            @change="toggle(pack.code)"
          />{{ ' ' }}
          <span class="code">{{ pack.code }}</span> {{ meat(pack.netG) }}{{ pack.kind === 'ends' ? ' ends' : '' }}
          <StateMark v-if="pack.cameBack" tone="held">came back</StateMark>
          <span class="soft small">{{ pack.cut }}, {{ pack.lot }}, packed {{ date(pack.packedOn) }}</span></label>
      </li>
    </ul>
    <div class="entry">
      <PartyField
        v-model="draft.customer"
        kind="customer"
        label="Customer"
        :error-messages="errorAt('customer') ?? errorAt('packCodes')"
      />
      <VBtn color="primary" :loading="saving" @click="sendOut()">Send {{ draft.codes.length }} packs</VBtn>
    </div>
    <SaveProblem :message="message" />
    <WhyAgainst :problem="refused" :saving="saving" @why="sendOut" />
    <p class="small soft">Lots: <LotCode v-for="lot in lots" :key="lot.code" :code="lot.code" class="mr-2" /></p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15.5rem, 1fr));
  gap: 0 1.4rem;
  max-height: 22rem;
  overflow-y: auto;
}
label {
  display: flex;
  gap: 0.55rem;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}
input[type='checkbox'] {
  width: 24px;
  height: 24px;
  accent-color: var(--heather);
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 22rem) auto;
  gap: 0.6rem;
  justify-content: start;
}
@media (--phone) {
  .entry {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
