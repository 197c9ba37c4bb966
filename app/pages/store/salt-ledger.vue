<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { mdiPrinterOutline } from '@mdi/js'
import type { Problem } from '#shared/contracts/problem'
import type { SaltLedgerView } from '#shared/contracts/store'
import { read } from '~/api/client'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import StateMark from '~/components/common/StateMark.vue'
import { SALT_ANOMALY_WORDS } from '~/components/store/salt-words'
import SaltAccount from '~/components/store/SaltAccount.vue'
import { useNotation } from '~/composables/use-notation'

const { moment } = useNotation()
const view = ref<SaltLedgerView | null>(null)
const lost = ref<Problem | null>(null)
const wrong = computed(() => view.value?.lots.flatMap(lot => lot.lines.filter(line => line.anomaly).map(line => ({ lot, line }))) ?? [])
async function load(): Promise<void> {
  const reply = await read<SaltLedgerView>('/api/salt-ledger')
  if (reply.ok) view.value = reply.value
  lost.value = reply.ok ? null : reply.problem
}
const print = () => window.print()
onMounted(load)
</script>

<template>
  <div>
    <PageHead title="Curing-salt ledger" sub="Each gram in and out, tied to its lot; counted every month.">
      <VBtn variant="outlined" class="floor" to="/store">Back to the Store</VBtn><VBtn variant="outlined" class="floor" :prepend-icon="mdiPrinterOutline" @click="print">Print</VBtn>
    </PageHead>
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <p v-else-if="!view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <p class="caution"><strong>Curing salt is poisonous.</strong> Locked, labelled, apart from table salt. What is missing is looked for.</p>
      <p v-if="!view.lots.length" class="empty">No curing salt yet. Receive it in the Store, with its certificate.</p>
      <p v-else class="soft" role="status">{{ wrong.length ? `${wrong.length} ${wrong.length === 1 ? 'line is' : 'lines are'} not right:` : 'Every gram is accounted for.' }}</p>
      <ul v-if="wrong.length" class="wrong-lines">
        <li v-for="({ lot, line }, i) in wrong" :key="i">
          <a :href="`#account-${lot.code}`"><span class="code">{{ lot.code }}</span> {{ lot.name }}</a> <StateMark tone="act">{{ SALT_ANOMALY_WORDS[line.anomaly!] }}</StateMark> <span class="soft">{{ moment(line.atMs) }}, {{ line.by }}</span>
        </li>
      </ul>
      <SaltAccount v-for="lot in view.lots" :key="lot.code" :lot="lot" :now-ms="view.nowMs" />
    </div>
  </div>
</template>

<style scoped>
.wrong-lines { display: grid; gap: 0.5rem; margin: 0; padding: 0; list-style: none; }
</style>
