<script setup lang="ts">
import { WEIGHED_AFTER_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { weighedAfterInput } from '#shared/contracts/rub'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'
import { AFTER_WORDS } from './lot-words'

/** What was shaken off an excess cure, or what the pieces weigh out of a brine: the ppm follows from it. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ done: [words: string, eventId: number | null] }>()
const session = useSession()
const { save, saving, message, errorAt } = useSave(weighedAfterInput)
const { draft, clear } = useDraft(`after-${props.lot.code}`, () => ({ weight: '' }))
const scaleId = ref<number | null>(null)
const isMix = computed(() => props.lot.method === 'excess')
const words = computed(() => AFTER_WORDS[isMix.value ? 'excess' : 'wet'])
const weighed = computed(() => props.lot.weighedBackTyped ?? props.lot.afterTyped)

async function weigh(): Promise<void> {
  const body = { weight: draft.value.weight, scaleId: scaleId.value }
  const made = await save(`/api/lots/${props.lot.code}/weighed-after`, body)
  if (!made) return
  clear()
  emit('done', `${props.lot.code} is weighed; its ppm was worked out again.`, made.eventId)
}
</script>

<template>
  <form class="slip stack-tight" @submit.prevent="weigh">
    <h3>{{ words.head }}</h3>
    <p>{{ weighed ? `Weighed: ${weighed}.` : words.until }}</p>
    <template v-if="session.mayWrite">
      <div class="quarters no-print">
        <WeightField
          v-model="draft.weight"
          :label="words.label"
          :fine="isMix"
          :range="WEIGHED_AFTER_RANGE"
          :error="errorAt('weight')"
        />
        <InstrumentSelect
          v-model="scaleId"
          kind="scale"
          :purpose="isMix ? 'mix' : 'meat'"
          :prefer="isMix ? 'mix' : 'meat'"
          label="Weighed on"
          :error="errorAt('scaleId')"
        />
      </div>
      <SaveProblem :message="message" />
      <div>
        <VBtn type="submit" variant="outlined" :loading="saving">Record the weight</VBtn>
      </div>
    </template>
  </form>
</template>
