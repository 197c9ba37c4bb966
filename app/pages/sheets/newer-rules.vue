<script setup lang="ts">
import { groupBy } from '#core/lists/group-by'
import { sumOf } from '#core/lists/sum-of'
import type { NewerRulesLot, NewerRulesView } from '#shared/contracts/newer-rules'
import { holdWords } from '#shared/messages/holds'
import LoadProblem from '~/components/common/LoadProblem.vue'
import LotCode from '~/components/common/LotCode.vue'
import SheetHead from '~/components/sheets/SheetHead.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

/** Lots that an upgrade's rules held, with their packs that are with customers and how to reach those. */
const { as, date, moment, meat } = useNotation()
const { view, problem, load } = useLoaded<NewerRulesView>('/api/newer-rules')
/** What each customer got on one day. */
const sentOf = ({ packs }: NewerRulesLot) =>
  [...groupBy(packs, pack => `${pack.customer} ${pack.sentOn}`)].map(([key, some]) => ({
    ...some[0]!,
    key,
    codes: some.map(pack => pack.code),
    netG: sumOf(some, pack => pack.netG),
  }))
</script>

<template>
  <div>
    <SheetHead title="Held by newer rules" :back="{ to: '/ledger', words: 'To the Ledger' }">
      What the version before let pass. What is in the shop is held until the owner decides; what customers have is not, and
      stands here with who has it. Whether they must be told, your inspector and your law say.
    </SheetHead>
    <LoadProblem v-if="problem && !view" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Reading the book…</p>
    <p v-else-if="!view.lots.length" class="empty">No upgrade held anything.</p>
    <section v-for="lot in view?.lots ?? []" :key="`${lot.code} ${lot.atMs}`" class="mb-6" :aria-label="lot.code">
      <h2><LotCode :code="lot.code" /></h2>
      <p>
        {{ lot.reasons.map(reason => holdWords(reason, as)).join('; ') }}: by the rules of {{ lot.by }}, judged
        {{ moment(lot.atMs) }}.
      </p>
      <p v-if="!lot.packs.length" class="soft">No customer has a pack of it.</p>
      <table v-else class="ruled slips">
        <thead>
          <tr>
            <th scope="col">Customer</th>
            <th scope="col">How to reach them</th>
            <th scope="col">Sent</th>
            <th scope="col">Packs</th>
            <th scope="col" class="num">Net</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in sentOf(lot)" :key="one.key">
            <td>{{ one.customer }}</td>
            <td>{{ one.contact ?? 'no contact on record' }}</td>
            <td>{{ date(one.sentOn) }}</td>
            <td class="packs">
              <span>{{ one.codes.length }}:</span>
              <span v-for="code in one.codes" :key="code" class="code">{{ code }}</span>
            </td>
            <td class="num">{{ meat(one.netG) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 1rem;
}
td {
  white-space: normal;
}
@media not (--phone) {
  td:not(.packs) {
    min-width: 5rem;
  }
}
.packs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.8rem;
}
/* A line on a phone is a slip: who and how much, how to reach them and when, then the packs side by side. */
@media (--phone) {
  tbody tr {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 1rem;
  }
  td:first-child {
    font-weight: 600;
  }
  td.num {
    grid-area: 1 / 2;
  }
  td.packs {
    grid-column: 1 / -1;
  }
}
tr {
  break-inside: avoid;
}
</style>
