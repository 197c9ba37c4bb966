<script setup lang="ts">
import type { RunView } from '#shared/contracts/smoke'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import CorrectButton from '~/components/common/CorrectButton.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ run: RunView }>()
const emit = defineEmits<{ corrected: [] }>()
const { temperature, moment } = useNotation()
</script>

<template>
  <details v-if="run.readings.length">
    <summary><h3>All readings ({{ run.readings.length }})</h3></summary>
    <div class="scroll-x">
      <table class="ruled">
        <thead><tr><th scope="col">When</th><th scope="col">Stage</th><th scope="col" class="num">Chamber</th><th scope="col" class="num">Core</th><th scope="col">Typed</th><th scope="col">From</th><th><span class="visually-hidden">Correct</span></th></tr></thead>
        <tbody>
          <tr v-for="r in run.readings" :key="r.id">
            <td>{{ moment(r.atMs) }}</td><td>{{ r.phase === 'smoke' ? 'smoke' : 'cooling' }}</td>
            <td class="num">{{ r.chamberC === null ? '–' : temperature(r.chamberC) }} <InstrumentNote v-if="r.chamberC !== null" :mark="r.chamber" :offset-c="r.chamberOffsetC" :read-c="r.chamberC" /></td><td class="num">{{ r.coreC === null ? '–' : temperature(r.coreC) }} <InstrumentNote v-if="r.coreC !== null" :mark="r.core" :offset-c="r.coreOffsetC" :read-c="r.coreC" /></td>
            <td class="small soft">{{ r.typed }}</td><td>{{ r.source === 'csv' ? 'CSV' : 'hand' }}</td>
            <td><CorrectButton v-if="r.coreC !== null" :id="r.id" what="core_reading" :about="`core at ${moment(r.atMs)}`" :now="temperature(r.coreC + r.coreOffsetC)" @corrected="emit('corrected')" /></td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
summary { cursor: pointer; min-height: 44px; display: flex; align-items: center; } summary::before { content: '▸'; margin-right: .5rem; } details[open] summary::before { content: '▾'; }
</style>
