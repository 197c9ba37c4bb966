<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import { mdiPrinterOutline } from '@mdi/js'
import { massBalance } from '#core/slicing/mass-balance'
import type { LotView } from '#shared/contracts/lots'
import PpmBeam from '~/components/beam/PpmBeam.vue'
import VerdictNote from '~/components/beam/VerdictNote.vue'
import HoldList from '~/components/common/HoldList.vue'
import BookList from '~/components/common/BookList.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import AfterRub from '~/components/lots/AfterRub.vue'
import LotContradicts from '~/components/lots/LotContradicts.vue'
import LotCure from '~/components/lots/LotCure.vue'
import LifeLine from '~/components/lots/LifeLine.vue'
import LotHanging from '~/components/lots/LotHanging.vue'
import LotPlan from '~/components/lots/LotPlan.vue'
import LotHead from '~/components/lots/LotHead.vue'
import HoldButton from '~/components/lots/HoldButton.vue'
import LotPacks from '~/components/lots/LotPacks.vue'
import LotWeights from '~/components/lots/LotWeights.vue'
import BalanceTable from '~/components/slicing/BalanceTable.vue'
import { balanceOf } from '~/logic/lot-balance'
import { useClock } from '~/composables/use-clock'
import { useLoaded } from '~/api/use-loaded'

const route = useRoute()
const nowMs = useClock()
const { view: lot, problem, load } = useLoaded<LotView>(() => `/api/lots/${encodeURIComponent(String(route.params.code))}`)
const parts = computed(() => (lot.value ? balanceOf(lot.value) : null))
const print = () => window.print()
</script>

<template>
  <div>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!lot" class="empty">Reading the book…</p>
    <article v-else class="stack life">
      <LotHead :lot="lot" :now-ms="nowMs">
        <HoldButton :code="lot.code" @held="load" /><VBtn
          variant="outlined"
          :prepend-icon="mdiPrinterOutline"
          @click="print"
        >
          Print
        </VBtn>
      </LotHead>
      <LotContradicts :lot="lot" @changed="load" />
      <HoldList :holds="lot.holds" :pieces="[...lot.pieces, ...lot.cutUp]" @decided="load" />
      <LotCure :lot="lot" :now-ms="nowMs" />
      <LifeLine :lot="lot" :now-ms="nowMs" />
      <LotHanging :lot="lot" />
      <LotPlan :lot="lot" :now-ms="nowMs" @changed="load" />
      <section class="stack-tight" aria-label="Nitrite">
        <h2>Nitrite</h2>
        <PpmBeam
          v-if="lot.judgement.lot"
          :floor-ppm="lot.judgement.floorPpm"
          :limit-ppm="lot.judgement.maxPpm"
          :house="lot.judgement.house"
          :meaning="lot.judgement.meaning"
          :pieces="lot.judgement.pieces"
          :least="lot.judgement.stayed?.pieces.map(piece => piece.leastPpm)"
          :target="lot.targets.nitritePpm"
          :label="`Beam of ${lot.code}`"
        />
        <VerdictNote :judgement="lot.judgement" :mix-readability-g="0.1" about="As weighed" />
      </section>
      <AfterRub :lot="lot" @changed="load" />
      <LotWeights :lot="lot" @corrected="load" />
      <LotPacks :lot="lot" @corrected="load" />
      <BalanceTable
        v-if="parts && lot.readyG !== null"
        :green-g="lot.greenG"
        :parts="parts"
        :balance="massBalance({ greenG: lot.greenG, ...parts })"
      />
      <BookList :events="lot.events" @changed="load" />
    </article>
  </div>
</template>
