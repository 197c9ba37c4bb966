<script setup lang="ts">
import type { LotRow } from '#shared/contracts/lots'
import BeamSmall from '~/components/beam/BeamSmall.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { lotStage } from '~/logic/lot-stage'
import { useNotation } from '~/composables/use-notation'

/** Lots, newest first. */
defineProps<{ lots: LotRow[]; lookedFor?: boolean }>()
const { meat, date, percent } = useNotation()
</script>

<template>
  <section aria-labelledby="lots-head">
    <h2 id="lots-head">Lots</h2>
    <p v-if="!lots.length" class="empty">
      {{
        lookedFor ? 'No lot like that. Another cut, day or code?' : 'No lot yet. The first one is rubbed on the Bench.'
      }}
    </p>
    <div v-else class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Lot</th>
            <th scope="col">Cut</th>
            <th scope="col">Rubbed</th>
            <th scope="col" class="num">Green weight</th>
            <th scope="col">Nitrite</th>
            <th scope="col">State</th>
            <th scope="col" class="num">Packs</th>
            <th scope="col" class="num">Yield</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="lot in lots" :key="lot.code">
            <td><LotCode :code="lot.code" /></td>
            <td>
              {{ lot.cut }}<span v-if="lot.cut === 'belly'">, rind {{ lot.rind }}</span>
            </td>
            <td>{{ date(lot.rubbedOn) }}</td>
            <td class="num">{{ meat(lot.greenG) }}</td>
            <td class="beam"><BeamSmall :judgement="lot.judgement" /></td>
            <td>
              <StateMark :tone="lotStage(lot).tone">{{ lotStage(lot).words }}</StateMark>
            </td>
            <td class="num">{{ lot.packs || '–' }}</td>
            <td class="num">{{ lot.packs ? percent(lot.packsG / lot.greenG) : '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.beam {
  vertical-align: middle !important;
}
</style>
