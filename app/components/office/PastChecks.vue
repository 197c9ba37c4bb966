<script setup lang="ts">
import type { InstrumentView } from '#shared/contracts/instruments'
import { CHECK_METHOD_WORDS } from '#shared/messages/instruments'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { figureWords, offsetFigure } from './instrument-words'

/** What an instrument's checks found, the newest first. */
defineProps<{ instrument: InstrumentView }>()
const { as, moment } = useNotation()
</script>

<template>
  <table class="ruled past">
    <thead>
      <tr>
        <th scope="col">When</th>
        <th scope="col">Against</th>
        <th scope="col" class="num">Should read</th>
        <th scope="col" class="num">Read</th>
        <th scope="col">Typed</th>
        <th scope="col">Found</th>
        <th scope="col">Who</th>
        <th scope="col">Note</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="check in instrument.checks" :key="check.id">
        <td>{{ moment(check.atMs) }}</td>
        <td>{{ CHECK_METHOD_WORDS[check.method] }}</td>
        <td class="num">{{ figureWords(instrument, check.reference, as) }}</td>
        <td class="num">{{ figureWords(instrument, check.read, as) }}</td>
        <td class="soft">{{ check.typed }}</td>
        <td>
          <StateMark :tone="check.passed ? 'good' : 'act'">{{ check.passed ? 'passed' : 'not passed' }}</StateMark>
          <span v-if="check.offsetC" class="soft"> offset {{ offsetFigure(instrument, check.offsetC, as) }}</span>
        </td>
        <td>{{ check.by }}</td>
        <td>{{ check.note }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.past {
  margin: 0.4rem 0 1rem 1.4rem;
  width: calc(100% - 1.4rem);
}
</style>
