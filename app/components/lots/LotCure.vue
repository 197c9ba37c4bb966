<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed, ref } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import LotCode from '~/components/common/LotCode.vue'
import CureTwine from '~/components/twine/CureTwine.vue'
import { lotTwine } from '~/logic/lot-twine'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'

const props = defineProps<{ lot: LotView; nowMs: Milliseconds }>()
const { moment, length } = useNotation()
const box = ref<HTMLElement | null>(null)
const width = useWidth(box, 900)
const twine = computed(() => lotTwine(props.lot, props.nowMs))
const lastDay = computed(() => Math.max(props.lot.bestByDay, twine.value.day) + 1)
const missed = computed(() => twine.value.knots.filter(knot => knot.state === 'missed' || knot.state === 'made_up').length)
</script>

<template>
  <section class="stack-tight" aria-labelledby="cure-head">
    <h2 id="cure-head">Cure</h2>
    <div ref="box">
      <CureTwine
        :knots="twine.knots"
        :day="twine.day"
        :ready-from-day="lot.readyFromDay"
        :best-by-day="lot.bestByDay"
        :from-day="0"
        :to-day="lastDay"
        :width="width"
        :ended="lot.cureEndedAtMs !== null"
        show-days
      />
    </div>
    <p>
      Thickest {{ length(lot.thicknessMm) }}, rubbed into {{ lot.fridge }}. Ready from day {{ lot.readyFromDay }}, best by day
      {{ lot.bestByDay }}. {{ lot.turns.length }} turns<span v-if="missed">, {{ missed }} missed</span>.<span
        v-if="lot.drainedAtMs"
      >
        Drained {{ moment(lot.drainedAtMs) }}.</span><span v-if="lot.cureEndedAtMs"> Out of the cure {{ moment(lot.cureEndedAtMs) }}, day {{ twine.day }}.</span>
    </p>
    <p v-if="lot.runs.length">
      Smoked in
      <span v-for="run in lot.runs" :key="run.code"><LotCode :code="run.code" /> ({{
        run.outcome === 'heat_treated'
          ? 'heat-treated, cook before eating'
          : run.outcome === 'raw_smoked'
            ? 'raw, smoked, cook before eating'
            : 'in the smoke'
      }}{{ run.cooled ? ', cooled' : '' }})
      </span>
    </p>
  </section>
</template>
