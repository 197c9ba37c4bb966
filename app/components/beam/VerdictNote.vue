<script setup lang="ts">
import type { Fraction, Grams } from '#core/units/quantities'
import { computed } from 'vue'
import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import type { Judgement } from '#shared/contracts/judgement'
import { doubtWords, heldWords, labWords, MEANING_WORDS, standingWords, STATUS_WORDS, verdictWords } from '#shared/messages/verdict'
import { stayedWords } from '#shared/messages/stayed'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

const props = defineProps<{
  judgement: Judgement
  mixReadabilityG: Grams
  about: string
  /** What lots of this cut usually come to, given at the Bench so that a laboratory, and a hold, are foreseen. */
  yieldShare?: Fraction | null
}>()
const { as } = useNotation()
const stayed = computed(() => stayedWords(props.judgement, as.value))
const lab = computed(() => (props.yieldShare === undefined ? '' : labWords(props.judgement, props.yieldShare, as.value)))
const held = computed(() => (props.yieldShare === undefined ? '' : heldWords(props.judgement)))
const doubt = computed(() => doubtWords(props.judgement, as.value))
const tone = computed(() =>
  forbidsRubbing(props.judgement.status)
    ? 'act'
    : holdsLot(props.judgement.status)
      ? 'watch'
      : props.judgement.lot
        ? 'good'
        : 'cold',
)
</script>

<template>
  <div class="verdict" :class="tone" aria-live="polite">
    <div class="row">
      <strong class="about">{{ about }}</strong>
      <span v-if="judgement.meaning !== 'none'" class="small soft">{{ MEANING_WORDS[judgement.meaning] }}</span>
      <StateMark :tone="tone">{{ STATUS_WORDS[judgement.status] }}</StateMark>
    </div>
    <p class="words">{{ verdictWords(judgement, as, mixReadabilityG) }}</p>
    <p v-if="held" class="stayed">{{ held }}</p>
    <p v-if="lab" class="stayed">{{ lab }}</p>
    <p v-if="stayed" class="stayed">{{ stayed }}</p>
    <p v-if="doubt" class="small">{{ doubt }}</p>
    <p class="small soft">{{ standingWords(judgement, as) }}</p>
  </div>
</template>

<style scoped>
.verdict {
  border-top: 2px solid var(--peat);
  padding-top: 0.55rem;
  display: grid;
  gap: 0.3rem;
}
.about {
  font-family: var(--slab);
}
.words {
  font-size: 1.12rem;
}
.act .words {
  font-weight: 600;
}
</style>
