<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed, ref } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import type { LifeKnot } from '#core/turning/knots'
import type { LotView } from '#shared/contracts/lots'
import LotCode from '~/components/common/LotCode.vue'
import LotTwines from '~/components/twine/LotTwines.vue'
import LotStacks from '~/components/twine/LotStacks.vue'
import { lotDay, lotTwines } from '~/logic/lot-twine'
import { saltAgo } from '~/words/salt-ago'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'

const props = defineProps<{ lot: LotView; nowMs: Milliseconds }>()
const { moment, length } = useNotation()
const box = ref<HTMLElement | null>(null)
const width = useWidth(box, 900)
const twines = computed(() => lotTwines(props.lot, props.nowMs))
const day = computed(() => lotDay(props.lot, props.nowMs))
const lastDay = computed(() => Math.max(day.value, ...twines.value.map(twine => twine.bestByDay)) + 1)
const salted = computed(() => saltAgo(props.lot, props.nowMs))
const GONE = new Set<LifeKnot['state']>(['missed', 'made_up'])
const missed = computed(() => twines.value.flatMap(twine => twine.knots).filter(knot => GONE.has(knot.state)).length)
</script>

<template>
  <section class="stack-tight" aria-labelledby="cure-head">
    <h2 id="cure-head">Cure</h2>
    <div ref="box">
      <LotTwines :twines="twines" :pieces="lot.pieces" :from-day="0" :to-day="lastDay" :width="width" show-days />
    </div>
    <LotStacks :pieces="lot.pieces" :twines="twines" :now-ms="nowMs" />
    <p>
      Thickest {{ length(lot.thicknessMm) }}, rubbed into {{ lot.fridge }}. Ready from day {{ lot.readyFromDay }}, best by day
      {{ lot.bestByDay }}. {{ lot.turns.length }} turns<span v-if="missed">, {{ missed }} missed</span>.<span
        v-if="lot.drainedAtMs"
      >
        Drained {{ moment(lot.drainedAtMs) }}.</span>
      <span v-if="lot.cureEndedAtMs"> Out of the cure {{ moment(lot.cureEndedAtMs) }}, day {{ day }}.</span>
      <span v-if="salted">{{ ` ${upperFirst(salted)}.` }}</span>
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
