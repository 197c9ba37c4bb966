<script setup lang="ts">
import type { OfficeInstruments } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import InstrumentList from '~/components/office/InstrumentList.vue'
import { useLoaded } from '~/api/use-loaded'

const { view, problem, load } = useLoaded<OfficeInstruments>('/api/office/instruments')
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <p v-else-if="!view" class="empty">Opening the drawer…</p>
  <InstrumentList v-else :instruments="view.instruments" @saved="load" />
</template>
