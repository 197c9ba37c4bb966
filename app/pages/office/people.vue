<script setup lang="ts">
import { computed } from 'vue'
import type { OfficePeople } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import CalendarList from '~/components/office/CalendarList.vue'
import DeviceList from '~/components/office/DeviceList.vue'
import DoorList from '~/components/office/DoorList.vue'
import PeopleList from '~/components/office/PeopleList.vue'
import { useLoaded } from '~/api/use-loaded'
import { useSession } from '~/stores/session'

/** Who may come in, on what, and who was kept out. */
const session = useSession()
const shared = computed(() => session.view?.station?.shared ?? false)
const { view, problem, load } = useLoaded<OfficePeople>('/api/office/people')
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <p v-else-if="!view" class="empty">Opening the drawer…</p>
  <div v-else class="stack">
    <PeopleList :people="view.people" @saved="load" />
    <DeviceList v-if="!shared" :devices="view.devices" @saved="load" />
    <CalendarList :calendars="view.calendars" @saved="load" />
    <DoorList v-if="session.isOwner && !shared" />
  </div>
</template>
