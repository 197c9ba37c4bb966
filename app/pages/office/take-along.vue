<script setup lang="ts">
import type { OfficeTables } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import TakeAlong from '~/components/office/TakeAlong.vue'
import { useLoaded } from '~/api/use-loaded'

const { view, problem, load } = useLoaded<OfficeTables>('/api/office/tables')
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <p v-else-if="!view" class="empty">Opening the drawer…</p>
  <TakeAlong v-else :tables="view.tables" />
</template>
