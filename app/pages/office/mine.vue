<script setup lang="ts">
import { computed } from 'vue'
import type { OfficeMine } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import MyAccount from '~/components/office/MyAccount.vue'
import MyCalendar from '~/components/office/MyCalendar.vue'
import MyNotation from '~/components/office/MyNotation.vue'
import SecondFactor from '~/components/office/SecondFactor.vue'
import { useLoaded } from '~/api/use-loaded'
import { useSession } from '~/stores/session'

/** What each person chooses: how figures are written, how the door is opened, what goes into the calendar. */
const session = useSession()
const shared = computed(() => session.view?.station?.shared ?? false)
const { view, problem, load } = useLoaded<OfficeMine>('/api/office/mine')
</script>

<template>
  <p v-if="shared" class="empty">This tablet is everybody's. Sign in on a device of your own for what is yours alone.</p>
  <div v-else class="stack">
    <MyNotation />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <template v-else-if="view">
      <MyAccount :has-pin="view.hasPin" @saved="load" />
      <SecondFactor v-if="session.isOwner" :set="view.hasSecondFactor" @saved="load" />
    </template>
    <MyCalendar v-if="session.mayWrite" />
  </div>
</template>
