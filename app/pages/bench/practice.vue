<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { parseDecimal } from '#core/typed/parse-decimal'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { CHOICE_WORDS, PRACTICE_WORDS } from '#shared/messages/practice'
import { isRight, practiceProblems } from '#shared/practice/problems'
import PpmBeam from '~/components/beam/PpmBeam.vue'
import PageHead from '~/components/common/PageHead.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'

/** Bench problems with made-up numbers: answer first, then see the beam and why. */
const { as, ppm, grams } = useNotation()
const problems = practiceProblems()
const at = ref(0)
const typed = ref('')
const fault = ref('')
const { draft: given } = useDraft<Record<string, number | string>>('practice', () => ({}))
const problem = computed(() => problems[at.value]!)
const words = computed(() => PRACTICE_WORDS[problem.value.key])
const answered = computed(() => problem.value.key in given.value)
const right = computed(() => answered.value && isRight(problem.value, given.value[problem.value.key]!))
const rightCount = computed(
  () => problems.filter(one => one.key in given.value && isRight(one, given.value[one.key]!)).length,
)
const unit = computed(() => (problem.value.answer.kind === 'grams' ? 'g' : 'ppm'))
const said = computed(() => {
  const { answer } = problem.value
  return answer.kind === 'choice'
    ? CHOICE_WORDS[answer.right]!
    : answer.kind === 'grams'
      ? grams(answer.value)
      : ppm(answer.value)
})
function answer(): void {
  const found = parseDecimal(typed.value.replace(/\s*(ppm|g)$/i, ''))
  fault.value = found.ok ? '' : wordsFor(found.code, found.params, as.value)
  if (found.ok) given.value[problem.value.key] = found.value
}
function again(): void {
  given.value = Object.fromEntries(Object.entries(given.value).filter(([key]) => key !== problem.value.key))
  typed.value = ''
}
watch(at, () => {
  typed.value = ''
  fault.value = ''
})
</script>

<template>
  <div>
    <PageHead
      title="Practice"
      sub="Bench problems with made-up numbers. Answer, then see the beam and why. Nothing here is recorded."
    />
    <nav class="steps" aria-label="Problems">
      <button
        v-for="(one, i) in problems"
        :key="one.key"
        type="button"
        class="plain step"
        :aria-current="i === at"
        @click="at = i"
      >
        <span class="tick" aria-hidden="true">{{
          !(one.key in given) ? i + 1 : isRight(one, given[one.key]!) ? '✓' : '✗'
        }}</span>{{ PRACTICE_WORDS[one.key].title
        }}<span class="visually-hidden">{{
          !(one.key in given) ? ', not answered' : isRight(one, given[one.key]!) ? ', right' : ', not right'
        }}</span>
      </button>
    </nav>
    <article class="problem stack" aria-live="polite">
      <h2>{{ words.title }}</h2>
      <p class="story">{{ words.story(problem.figures, as) }}</p>
      <p class="story">
        <strong>{{ words.ask }}</strong>
      </p>
      <template v-if="!answered">
        <div v-if="problem.answer.kind === 'choice'" class="row">
          <VBtn
            v-for="choice in problem.answer.choices"
            :key="choice"
            variant="outlined"
            @click="given[problem.key] = choice"
          >
            {{ CHOICE_WORDS[choice] }}
          </VBtn>
        </div>
        <form v-else class="entry" @submit.prevent="answer">
          <VTextField
            v-model="typed"
            :label="`Your answer, ${unit}`"
            :suffix="unit"
            inputmode="decimal"
            autocomplete="off"
            :error-messages="fault ? [fault] : []"
          />
          <VBtn type="submit" color="primary">Answer</VBtn>
        </form>
      </template>
      <template v-else>
        <p class="row">
          <StateMark :tone="right ? 'good' : 'act'">{{ right ? 'right' : 'not so' }}</StateMark><strong>{{ said }}</strong>
        </p>
        <PpmBeam
          :floor-ppm="problem.beam.floorPpm"
          :limit-ppm="problem.beam.maxPpm"
          :pieces="problem.beam.pieces"
          :label="`Beam: ${problem.beam.pieces.map(piece => ppm(piece.ppm)).join(', ')}; `
            + `floor ${problem.beam.floorPpm}, limit ${problem.beam.maxPpm}`"
        />
        <p class="story">{{ words.why(problem.figures, as) }}</p>
        <div class="row">
          <VBtn variant="outlined" @click="again">Answer again</VBtn>
          <VBtn v-if="at + 1 < problems.length" color="primary" @click="at++">Next problem</VBtn>
          <span v-else class="soft">{{ rightCount }} of {{ problems.length }} right.</span>
        </div>
      </template>
    </article>
  </div>
</template>

<style scoped>
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1rem;
  border-bottom: 1px solid var(--hair);
  margin-bottom: 1.4rem;
}
.step {
  background: none;
  border: 0;
  border-bottom: 3px solid transparent;
  color: inherit;
  padding: 0.5rem 0.2rem;
  min-height: 56px;
  cursor: pointer;
}
.step[aria-current='true'] {
  border-color: var(--heather);
  font-weight: 600;
}
.tick {
  display: inline-block;
  min-width: 1.3rem;
  font-weight: 700;
}
.problem {
  max-width: 52rem;
}
.story {
  font-size: 1.12rem;
  max-width: 44rem;
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 16rem) auto;
  gap: 0.7rem;
  align-items: start;
  justify-content: start;
}
</style>
