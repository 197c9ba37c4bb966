<script setup lang="ts">
import { computed } from 'vue'
import { mdiPrinterOutline } from '@mdi/js'
import type { SaltLedgerView } from '#shared/contracts/salt-ledger'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import StateMark from '~/components/common/StateMark.vue'
import { SALT_ANOMALY_WORDS } from '~/components/store/salt-words'
import SaltAccount from '~/components/store/SaltAccount.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

const { moment } = useNotation()
const { view, problem, load, ask } = useLoaded<SaltLedgerView>('/api/salt-ledger')
const wrong = computed(
  () => view.value?.lots.flatMap(lot => lot.lines.filter(line => line.anomaly).map(line => ({ lot, line }))) ?? [],
)
async function older(): Promise<void> {
  const found = await ask(`/api/salt-ledger?before=${view.value!.lots.at(-1)!.code}`)
  if (found) view.value = { ...found, lots: [...view.value!.lots, ...found.lots] }
}
/** One account from its first line on. */
async function whole(code: string): Promise<void> {
  const found = await ask(`/api/salt-ledger?code=${code}`)
  if (found)
    view.value = { ...view.value!, lots: view.value!.lots.map(lot => (lot.code === code ? found.lots[0]! : lot)) }
}
const print = () => window.print()
</script>

<template>
  <div>
    <PageHead title="Curing-salt ledger" sub="Each gram in and out, tied to its lot; counted every month.">
      <VBtn variant="outlined" to="/store">Back to the Store</VBtn>
      <VBtn variant="outlined" :prepend-icon="mdiPrinterOutline" @click="print">Print</VBtn>
    </PageHead>
    <LoadProblem v-if="problem && !view" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <p class="caution">
        <strong>Curing salt is poisonous.</strong> Locked, labelled, apart from table salt. What is missing is looked
        for.
      </p>
      <p v-if="!view.lots.length" class="empty">No curing salt yet. Receive it in the Store, with its certificate.</p>
      <p v-else class="soft" role="status">
        {{
          wrong.length
            ? `${wrong.length} ${wrong.length === 1 ? 'line is' : 'lines are'} not right:`
            : `Every gram is accounted for${view.more ? ' in the accounts shown; earlier ones are below' : ''}.`
        }}
      </p>
      <ul v-if="wrong.length" class="wrong-lines">
        <li v-for="({ lot, line }, i) in wrong" :key="i">
          <a :href="`#account-${lot.code}`">
            <span class="code">{{ lot.code }}</span>
            {{ lot.name }}</a>{{ ' ' }}
          <StateMark tone="act">{{ SALT_ANOMALY_WORDS[line.anomaly!] }}</StateMark>{{ ' ' }}
          <span class="soft">{{ moment(line.atMs) }}, {{ line.by }}</span>
        </li>
      </ul>
      <SaltAccount v-for="lot in view.lots" :key="lot.code" :lot="lot" :now-ms="view.nowMs" @whole="whole(lot.code)" />
      <div v-if="view.more" class="no-print">
        <VBtn variant="outlined" @click="older">Earlier accounts</VBtn>
      </div>
    </div>
  </div>
</template>

<style scoped>
.wrong-lines {
  display: grid;
  gap: 0.5rem;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
