<script setup lang="ts">
import { computed } from 'vue'
import type { OfficeView } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import CalendarList from '~/components/office/CalendarList.vue'
import DeviceList from '~/components/office/DeviceList.vue'
import DoorList from '~/components/office/DoorList.vue'
import SecondFactor from '~/components/office/SecondFactor.vue'
import MyAccount from '~/components/office/MyAccount.vue'
import MyCalendar from '~/components/office/MyCalendar.vue'
import ConfirmRules from '~/components/office/ConfirmRules.vue'
import MyNotation from '~/components/office/MyNotation.vue'
import PeopleList from '~/components/office/PeopleList.vue'
import TakeAlong from '~/components/office/TakeAlong.vue'
import CheckLists from '~/components/office/CheckLists.vue'
import PlaceList from '~/components/office/PlaceList.vue'
import InstrumentList from '~/components/office/InstrumentList.vue'
import { useLoaded } from '~/api/use-loaded'
import { useSession } from '~/stores/session'

const session = useSession()
const shared = computed(() => session.view?.station?.shared ?? false)
const mine = computed(() => view.value?.people.find(person => person.id === session.user?.id))
const { view, problem, load } = useLoaded<OfficeView>('/api/office')
</script>

<template>
  <div>
    <PageHead
      title="Office"
      :sub="view ? `${view.shop.name}, on the clock of ${view.shop.zone.replace('_', ' ')}` : ''"
    />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Opening the drawer…</p>
    <div v-else class="office">
      <MyNotation v-if="!shared" />
      <MyAccount v-if="!shared" :has-pin="mine?.hasPin ?? false" @saved="load" />
      <MyCalendar v-if="!shared && session.mayWrite" />
      <ConfirmRules :shop="view.shop" :jurisdiction="view.jurisdiction" />
      <PeopleList :people="view.people" @saved="load" />
      <SecondFactor v-if="session.isOwner && !shared" :set="mine?.hasSecondFactor ?? false" @saved="load" />
      <DeviceList v-if="!shared" :devices="view.devices" @saved="load" />
      <CalendarList :calendars="view.calendars" @saved="load" />
      <DoorList v-if="session.isOwner && !shared" />
      <PlaceList :places="view.places" :instruments="view.instruments" @saved="load" />
      <CheckLists :places="view.places" />
      <InstrumentList :instruments="view.instruments" @saved="load" />
      <TakeAlong :tables="view.tables" />
    </div>
  </div>
</template>

<style scoped>
.office {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2.2rem 2.8rem;
  align-items: start;
}
@media (--tablet) {
  .office {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
