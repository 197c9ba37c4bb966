<script setup lang="ts">
import type { OfficePlaces } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PlaceList from '~/components/office/PlaceList.vue'
import { useLoaded } from '~/api/use-loaded'

const { view, problem, load } = useLoaded<OfficePlaces>('/api/office/places')
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <p v-else-if="!view" class="empty">Opening the drawer…</p>
  <PlaceList v-else :places="view.places" :instruments="view.instruments" @saved="load" />
</template>
