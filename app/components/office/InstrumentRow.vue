<script setup lang="ts">
import { computed } from 'vue'
import type { InstrumentView } from '#shared/contracts/instruments'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import InstrumentCheck from './InstrumentCheck.vue'
import PastChecks from './PastChecks.vue'
import { offsetWords, purposeWords, readabilityWords, stateSaid } from './instrument-words'

/** One instrument in the list; opened, its check and those before. */
const props = defineProps<{ instrument: InstrumentView }>()
const emit = defineEmits<{ saved: [] }>()
const open = defineModel<boolean>('open', { required: true })
const { as, moment } = useNotation()
const said = computed(() => stateSaid(props.instrument))
</script>

<template>
  <tr :class="{ soft: !instrument.inUse }">
    <td>
      <strong>{{ instrument.name }}</strong>
    </td>
    <td>{{ purposeWords(instrument) }}</td>
    <td class="num">{{ readabilityWords(instrument, as) }}</td>
    <td class="num">{{ offsetWords(instrument, as) }}</td>
    <td>
      <StateMark :tone="said.tone">{{ said.words }}</StateMark>
    </td>
    <td>{{ instrument.dueMs === null ? 'now' : moment(instrument.dueMs) }}</td>
    <td class="num">
      <VBtn class="slim" variant="outlined" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Put aside' : 'Checks' }}<span class="visually-hidden"> of {{ instrument.name }}</span>
      </VBtn>
    </td>
  </tr>
  <tr v-if="open">
    <td colspan="7">
      <InstrumentCheck :instrument="instrument" @saved="emit('saved')" />
      <PastChecks v-if="instrument.checks.length" :instrument="instrument" />
    </td>
  </tr>
</template>
