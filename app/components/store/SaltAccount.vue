<script setup lang="ts">
import type { Grams, Milliseconds } from '#core/units/quantities'
import type { SaltLedgerView, SaltLineView } from '#shared/contracts/salt-ledger'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { SALT_ANOMALY_WORDS } from '~/components/store/salt-words'
import { useNotation } from '~/composables/use-notation'

/** One lot of curing salt, ruled like an account. */
defineProps<{ lot: SaltLedgerView['lots'][number]; nowMs: Milliseconds }>()
const emit = defineEmits<{ whole: [] }>()
const { grams, moment } = useNotation()
const KINDS = {
  received: 'received',
  used: 'used',
  unassigned: 'used without a lot',
  discarded: 'thrown away',
  count: 'counted',
}
const signed = (massG: Grams) => `${massG > 0 ? '+' : ''}${grams(massG)}`
const found = (line: SaltLineView) =>
  line.differenceG === null ? '' : `${signed(line.differenceG)}, scales explain ± ${grams(line.allowedG!, 0.01)}`
</script>

<template>
  <section :id="`account-${lot.code}`" class="stack-tight" :aria-label="`Account of ${lot.code}`">
    <div class="ruled-head">
      <h2><LotCode :code="lot.code" /> {{ lot.name }}</h2>
      <span class="row">
        <StateMark v-if="lot.countDueMs < nowMs" tone="act">count overdue</StateMark>
        <span class="soft">next count by {{ moment(lot.countDueMs) }}</span>
        <strong class="balance">{{ grams(lot.balanceG) }}</strong>
      </span>
    </div>
    <p class="soft">
      {{ lot.supplier }}, their lot <span class="code">{{ lot.supplierLot }}</span>
    </p>
    <p v-if="lot.earlierLines" class="row">
      <span class="soft">The last {{ lot.lines.length }} lines; {{ lot.earlierLines }} earlier ones are in order.</span>
      <VBtn class="no-print" variant="text" @click="emit('whole')">Show every line</VBtn>
    </p>
    <div class="scroll-x">
      <table class="ruled account">
        <colgroup>
          <col class="when-col" />
          <col class="who-col" />
          <col class="what-col" />
          <col class="mass-col" />
          <col class="mass-col" />
          <col class="mass-col" />
          <col class="count-col" />
          <col />
        </colgroup>
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col">What</th>
            <th scope="col" class="num">In</th>
            <th scope="col" class="num">Out</th>
            <th scope="col" class="num">Balance</th>
            <th scope="col">Count</th>
            <th scope="col">Why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(line, i) in lot.lines" :key="i" :class="{ wrong: line.anomaly }">
            <td class="when">{{ moment(line.atMs) }}</td>
            <td>{{ line.by }}</td>
            <td>
              {{ KINDS[line.kind] }} <template v-if="line.lot">
                in
                <LotCode :code="line.lot" />
              </template>{{ ' ' }}<InstrumentNote :mark="line.scale" />
            </td>
            <td class="num">{{ line.inG ? grams(line.inG) : '' }}</td>
            <td class="num">{{ line.outG ? grams(line.outG) : '' }}</td>
            <td class="num">
              <strong>{{ grams(line.balanceG) }}</strong>
            </td>
            <td>{{ found(line) }}</td>
            <td>
              {{ line.reason }}
              <StateMark v-if="line.anomaly" tone="act">{{ SALT_ANOMALY_WORDS[line.anomaly] }}</StateMark>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.balance {
  font: 700 1.5rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
/* The same columns in every account: the eye runs down all of them. */
.account {
  table-layout: fixed;
}
.when-col {
  width: 13%;
}
.who-col {
  width: 5%;
}
.what-col {
  width: 15%;
}
.mass-col {
  width: 9%;
}
.count-col {
  width: 15%;
}
.account :deep(.mark) {
  white-space: normal;
}
@media screen {
  .account {
    min-width: 56rem;
  }
}
.when {
  white-space: nowrap;
}
</style>
