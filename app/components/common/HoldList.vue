<script setup lang="ts">
import { reactive, ref } from 'vue'
import { isUndecided } from '#core/lots/stops-lot'
import { dispositionInput, DISPOSITIONS, type HoldView } from '#shared/contracts/holds'
import { holdWords } from '#shared/messages/holds'
import { piecesWords } from '#shared/messages/pieces'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = withDefaults(defineProps<{ holds: HoldView[]; what?: string; pieces?: readonly { id: number; label: string }[] }>(), {
  what: 'lot',
  pieces: () => [],
})
const emit = defineEmits<{ decided: [] }>()
const session = useSession()
const { as, moment, temperature } = useNotation()
const { say } = useNotice()
const { save, saving, errorAt, message } = useSave(dispositionInput)
const WORDS = { release: 'Release', rework: 'Rework', destroy: 'Destroy' }
const form = reactive({ disposition: 'release' as (typeof DISPOSITIONS)[number], text: '' })
const deciding = ref<number | null>(null)
const markWords = ({ disposition }: HoldView) =>
  disposition === null ? 'held' : disposition === 'reworking' ? 'being reworked' : `hold: ${disposition}`
/** What was sent to be reworked is let go or destroyed in the end. */
const choicesOf = ({ disposition }: HoldView) => DISPOSITIONS.filter(one => one !== 'rework' || disposition === null)

/** Which pieces, where, from when to when, how warm: as far as the hold says. */
function aboutWords({ pieceIds, place, fromMs, toMs, worstC }: HoldView): string {
  const labels = props.pieces.filter(piece => pieceIds?.includes(piece.id)).map(piece => piece.label)
  const numbers = labels.toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }))
  const some = numbers.length > 0 && numbers.length < props.pieces.length
  return [
    some && `${piecesWords(numbers)}`,
    place && `in ${place}`,
    fromMs !== null && (toMs === null ? `from ${moment(fromMs)} on` : `${moment(fromMs)} to ${moment(toMs)}`),
    worstC !== null && `up to ${temperature(worstC)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
/** What it rested on follows no more: the decision is filled in, the owner's tap makes it. */
async function releaseChanged(hold: HoldView): Promise<void> {
  Object.assign(form, { disposition: 'release', text: `The facts changed by record ${hold.changedBy}: it follows no more.` })
  await decide(hold.id)
}

async function decide(id: number): Promise<void> {
  if (!(await save(`/api/holds/${id}/disposition`, { ...form }))) return
  deciding.value = null
  Object.assign(form, { disposition: 'release', text: '' })
  say('The decision is in the book.')
  emit('decided')
}
</script>

<template>
  <section v-if="holds.length" class="stack-tight" aria-label="Holds">
    <div v-for="hold in holds" :key="hold.id" class="hold" :class="{ open: isUndecided(hold) }">
      <div class="row">
        <StateMark :tone="isUndecided(hold) ? 'held' : 'plain'">{{ markWords(hold) }}</StateMark>
        <strong>{{ holdWords(hold.reason, as) }}</strong><span v-if="hold.note">{{ hold.note }}</span>
        <span v-if="hold.byRules">by the rules of {{ hold.byRules }}</span>
        <span>{{ aboutWords(hold) }}</span><span class="soft">since {{ moment(hold.placedAtMs) }}</span>
        <VBtn
          v-if="isUndecided(hold) && session.isOwner"
          variant="outlined"
          @click="deciding = deciding === hold.id ? null : hold.id"
        >
          Decide
        </VBtn>
      </div>
      <p v-if="hold.disposition">
        {{ hold.text }} <span class="soft">({{ hold.by }}, {{ moment(hold.disposedAtMs!) }})</span>
        <template v-if="hold.disposition === 'reworking'">
          It may be worked on; it goes to no customer until the owner decides on what came of it.
        </template>
      </p>
      <p v-else-if="hold.changedBy !== null" class="changed">
        The facts changed by record {{ hold.changedBy }}: by what is recorded now it follows no more.
        <VBtn v-if="session.isOwner" variant="outlined" :loading="saving" @click="releaseChanged(hold)">
          Release it for that
        </VBtn>
      </p>
      <p v-else>It goes nowhere, not into smoke, not into packs, not out of the door, until the owner decides.</p>
      <form v-if="deciding === hold.id" class="stack-tight decide" @submit.prevent="decide(hold.id)">
        <p class="caution">Only with good reason, in writing. When in doubt ask your inspector, or destroy it.</p>
        <VBtnToggle v-model="form.disposition" mandatory variant="outlined" aria-label="Decision">
          <VBtn v-for="d in choicesOf(hold)" :key="d" :value="d">{{ WORDS[d] }}</VBtn>
        </VBtnToggle>
        <VTextField
          v-model="form.text"
          label="Why, and what was done"
          maxlength="500"
          :error-messages="errorAt('text')"
        />
        <SaveProblem :message="message" />
        <div>
          <VBtn type="submit" color="primary" :loading="saving">
            {{ WORDS[form.disposition] }} the {{ props.what }}
          </VBtn>
        </div>
      </form>
    </div>
  </section>
</template>

<style scoped>
.hold {
  border-left: 5px solid var(--hair-strong);
  padding: 0.5rem 0.9rem;
}
.open {
  border-color: var(--ember);
  background: var(--ember-wash);
}
.decide {
  margin-top: 0.6rem;
  max-width: 620px;
}
</style>
