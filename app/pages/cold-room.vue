<script setup lang="ts">
import { FRIDGE_CHECKS } from '#core/rules/house'
import { computed, onMounted, ref } from 'vue'
import { localDay, addDays, daysBetween } from '#core/calendar/local-day'
import CureRow from '~/components/cold-room/CureRow.vue'
import { NuxtLink } from '#components'
import DayRule from '~/components/cold-room/DayRule.vue'
import FridgeStrip from '~/components/cold-room/FridgeStrip.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const WIDE_PX = 620
const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { limit } = useNotation()
const ruler = ref<HTMLElement | null>(null)
const width = useWidth(ruler, 700)
const today = computed(() => localDay(nowMs.value, session.zone))
const span = computed(() => (width.value > WIDE_PX ? { back: 9, ahead: 7 } : { back: 4, ahead: 3 }))
const curing = computed(() => floor.lots.filter(lot => lot.cureEndedAtMs === null))
const drying = computed(() => floor.lots.filter(lot => lot.cureEndedAtMs !== null && !lot.runs.length && !lot.packs))
const daysFor = (rubbedOn: string) => {
  const day = daysBetween(rubbedOn, today.value)
  return { from: day - span.value.back, to: day + span.value.ahead }
}
onMounted(floor.load)
</script>

<template>
  <div>
    <PageHead
      title="Cold room"
      sub="Every lot in the cure, hung by its day. Turn every piece, and reverse the stacks."
    />
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else class="cold-room">
      <FridgeStrip class="strip" :fridges="floor.view.fridges" :now-ms="nowMs" />
      <p v-if="!curing.length" class="empty">Nothing is curing. Rub a lot on the Bench and it hangs here.</p>
      <section v-else aria-label="Lots in the cure">
        <div class="cure-grid head">
          <span />
          <div ref="ruler">
            <DayRule
              :width="width"
              :first="addDays(today, -span.back)"
              :count="span.back + span.ahead + 1"
              :today="today"
            />
          </div>
          <span />
        </div>
        <CureRow
          v-for="lot in curing"
          :id="lot.code"
          :key="lot.code"
          :lot="lot"
          :now-ms="nowMs"
          :width="width"
          v-bind="daysFor(lot.rubbedOn)"
        />
      </section>
      <section v-if="drying.length" class="stack-tight mt-6">
        <h2>Out of the cure, drying</h2>
        <p v-for="lot in drying" :key="lot.code">
          <NuxtLink class="code" :to="`/lots/${lot.code}`">{{ lot.code }}</NuxtLink> {{ lot.cut }},
          {{ lot.pieces.length }} pieces. Tacky all over before it goes into smoke.
        </p>
      </section>
      <p class="caution calm mt-6">
        Keep {{ limit(0) }} to {{ limit(4) }}. Below {{ limit(FRIDGE_CHECKS.tooColdC) }} curing all but stops; above
        {{ limit(FRIDGE_CHECKS.warn.aboveC) }} for half an hour is a warning, above
        {{ limit(FRIDGE_CHECKS.hold.aboveC) }} for two hours holds every lot in that fridge.
      </p>
    </div>
  </div>
</template>

<style>
.cold-room {
  display: flex;
  flex-direction: column;
}
@media (--phone) {
  .cold-room > .strip {
    order: 2;
    margin-top: 1.6rem;
  }
}
.cure-grid {
  display: grid;
  grid-template-columns: 11.5rem minmax(0, 1fr) 18.5rem;
  gap: 0.75rem 1.1rem;
  align-items: center;
}
.cure-grid.head {
  position: sticky;
  top: 0;
  background: var(--bone);
  z-index: 2;
  border-bottom: 2px solid var(--peat);
}
@media (--tablet) {
  .cure-grid {
    grid-template-columns: minmax(0, 1fr);
    gap: 0.4rem;
  }
}
</style>
