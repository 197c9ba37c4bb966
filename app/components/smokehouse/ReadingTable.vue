<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Problem } from '#shared/contracts/problem'
import type { RunReadingView, RunView } from '#shared/contracts/smoke'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import CorrectButton from '~/components/common/CorrectButton.vue'
import { problemWords, read } from '~/api/client'
import { useNotation } from '~/composables/use-notation'

const props = defineProps<{ run: RunView }>()
const emit = defineEmits<{ corrected: [] }>()
const { as, temperature, moment } = useNotation()
/** Asked for a page at a time: a logger's night is ten thousands of rows. */
const earlier = ref<RunReadingView[]>([])
const problem = ref<Problem | null>(null)
const loading = ref(false)
const shown = computed(() => [...earlier.value, ...props.run.readings])
watch(
  () => props.run,
  () => {
    earlier.value = []
  },
)
async function older(): Promise<void> {
  loading.value = true
  const reply = await read<RunReadingView[]>(`/api/runs/${props.run.code}/readings?skip=${shown.value.length}`)
  loading.value = false
  problem.value = reply.ok ? null : reply.problem
  const known = new Set(shown.value.map(reading => reading.id))
  if (reply.ok) earlier.value = [...reply.value.filter(reading => !known.has(reading.id)), ...earlier.value]
}
</script>

<template>
  <details v-if="run.readings.length">
    <summary>
      <h3>All readings ({{ run.readingCount }})</h3>
    </summary>
    <div v-if="shown.length < run.readingCount" class="row">
      <VBtn variant="outlined" :loading="loading" @click="older">Earlier readings</VBtn>
      <span class="soft">{{ shown.length }} shown, the newest</span>
    </div>
    <p v-if="problem" class="caution grave">{{ problemWords(problem, as) }}</p>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Stage</th>
            <th scope="col" class="num">Chamber</th>
            <th scope="col" class="num">Core</th>
            <th scope="col">Typed</th>
            <th scope="col">From</th>
            <th><span class="visually-hidden">Correct</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in shown" :key="r.id">
            <td>{{ moment(r.atMs) }}</td>
            <td>{{ r.phase === 'smoke' ? 'smoke' : 'cooling' }}</td>
            <td class="num">
              {{ r.chamberC === null ? '–' : temperature(r.chamberC) }}
              <InstrumentNote
                v-if="r.chamberC !== null"
                :mark="r.chamber"
                :offset-c="r.chamberOffsetC"
                :read-c="r.chamberC"
              />
            </td>
            <td class="num">
              {{ r.coreC === null ? '–' : temperature(r.coreC) }}
              <InstrumentNote v-if="r.coreC !== null" :mark="r.core" :offset-c="r.coreOffsetC" :read-c="r.coreC" />
            </td>
            <td class="small soft">{{ r.typed }}</td>
            <td>{{ r.source === 'csv' ? 'CSV' : 'hand' }}</td>
            <td>
              <CorrectButton
                v-if="r.coreC !== null"
                :id="r.id"
                what="core_reading"
                :about="`core at ${moment(r.atMs)}`"
                :now="temperature(r.coreC + r.coreOffsetC)"
                @corrected="emit('corrected')"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 44px;
  display: flex;
  align-items: center;
}
summary::before {
  content: '▸';
  margin-right: 0.5rem;
}
details[open] summary::before {
  content: '▾';
}
</style>
