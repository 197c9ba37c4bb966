<script setup lang="ts">
import { FRIDGE_CHECKS } from '#core/rules/house'
import { isColdPlace } from '#core/places/place-kind'
import { mdiPrinterOutline } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import { localDay, addDays } from '#core/calendar/local-day'
import DayRule from '~/components/cold-room/DayRule.vue'
import { lyingOf } from '~/components/cold-room/lying'
import PlaceSection from '~/components/cold-room/PlaceSection.vue'
import TurnAll from '~/components/cold-room/TurnAll.vue'
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
const places = computed(() => floor.view?.places ?? [])
/** Cold places, and whatever else something lies in; the fullest first, so that the work is on top. */
const rooms = computed(() =>
  places.value
    .map(place => ({ place, lying: lyingOf(place.id, floor.lots) }))
    .filter(
      ({ place, lying }) =>
        lying.curing.length + lying.others.length > 0 || isColdPlace({ kind: place.kind, can: place.uses }),
    )
    .toSorted((a, b) => Number(b.lying.curing.length > 0) - Number(a.lying.curing.length > 0)),
)
const hangs = computed(() => floor.lots.some(lot => lot.pieces.some(piece => piece.stage === 'hang')))
const curing = computed(() => floor.lots.filter(lot => lot.cureEndedAtMs === null))
onMounted(floor.load)
</script>

<template>
  <div>
    <PageHead
      title="Cold room"
      sub="Every piece where it lies, stacks as drawn. A finger that stays on a button says that it was earlier."
    >
      <VBtn v-if="hangs" variant="text" :prepend-icon="mdiPrinterOutline" to="/sheets/hanging">Hanging sheet</VBtn>
      <VBtn variant="text" :prepend-icon="mdiPrinterOutline" to="/sheets/cold-room">Sheet</VBtn>
      <TurnAll v-if="session.mayWrite" :lots="curing" :now-ms="nowMs" />
    </PageHead>
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else class="cold-room">
      <p v-if="!curing.length" class="empty">Nothing is curing. Rub a lot on the Bench and it hangs here.</p>
      <div v-else class="cure-grid head">
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
      <PlaceSection
        v-for="{ place, lying } in rooms"
        :key="place.id"
        :place="place"
        :lying="lying"
        :places="places"
        :now-ms="nowMs"
        :width="width"
        :today="today"
        :span="span"
      />
      <p class="caution calm mt-6">
        Keep {{ limit(0) }} to {{ limit(4) }}. Below {{ limit(FRIDGE_CHECKS.tooColdC) }} curing all but stops; above
        {{ limit(FRIDGE_CHECKS.warn.aboveC) }} for half an hour is a warning, above
        {{ limit(FRIDGE_CHECKS.hold.aboveC) }} for two hours holds the pieces that lay there meanwhile.
      </p>
    </div>
  </div>
</template>

<style>
.cold-room {
  display: flex;
  flex-direction: column;
  gap: 1rem;
}
.cure-grid {
  display: grid;
  grid-template-columns: 11.5rem minmax(0, 1fr) 19.5rem;
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
