<script setup lang="ts">
import { computed } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { contradictionWords } from '#shared/messages/contradictions'
import { piecesWords } from '#shared/messages/pieces'
import { MEND_WORDS, STEP_DONE } from '#shared/messages/steps'
import { voidInput } from '#shared/contracts/voids'
import ReasonDialog from '~/components/common/ReasonDialog.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'

/** Steps of a lot that cannot both be true, each with the press that mends it: one of the two is voided. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const { as, moment } = useNotation()
const found = computed(() =>
  props.lot.contradicts.map(({ why, mend, first, second, pieces }) => ({
    words: contradictionWords(
      {
        code: pieces.length < props.lot.pieces.length ? `${props.lot.code}, ${piecesWords(pieces)}` : props.lot.code,
        zone: props.lot.zone,
        why,
        first: first?.kind ?? 'none',
        firstMs: first?.atMs ?? 0,
        second: second.kind,
        secondMs: second.atMs,
      },
      as.value,
    ),
    mend: MEND_WORDS[mend],
    // A rub takes everything along: it is voided in the book, by whoever means it.
    told: [second, ...(first && first.kind !== 'rub' ? [first] : [])].flatMap(({ kind, atMs, eventId }) =>
      eventId === null ? [] : [{ eventId, words: `${STEP_DONE[kind]}, ${moment(atMs)}` }],
    ),
  })),
)
</script>

<template>
  <section v-if="found.length" class="caution grave stack-tight" aria-labelledby="contradicts-head">
    <h2 id="contradicts-head">What was told of it contradicts itself</h2>
    <p>
      The later of two counts for nothing until one is voided. What was really done, only you know: look at the meat.
    </p>
    <ul>
      <li v-for="(one, i) in found" :key="i" class="stack-tight">
        <p>{{ one.words }} <span class="soft">{{ one.mend }}</span></p>
        <div v-if="session.mayWrite" class="row no-print">
          <ReasonDialog
            v-for="step in one.told"
            :key="step.eventId"
            :title="`Void record ${step.eventId}`"
            verb="Void it"
            why="Why it was none"
            field="reason"
            :contract="voidInput"
            :path="`/api/events/${step.eventId}/void`"
            :said="`Record ${step.eventId} is voided; it stays in the book as such.`"
            @done="emit('changed')"
          >
            <template #opener="{ begin }">
              <VBtn variant="outlined" @click="begin">Void “{{ step.words }}”</VBtn>
            </template>
            <p>Record {{ step.eventId }}: {{ step.words }}</p>
          </ReasonDialog>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.15rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
p {
  margin: 0;
}
.row {
  flex-wrap: wrap;
  gap: 0.5rem;
}
.v-btn {
  min-height: 56px;
}
</style>
