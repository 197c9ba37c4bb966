<script setup lang="ts">
import type { OfficePlaces } from '#shared/contracts/office'
import LoadProblem from '~/components/common/LoadProblem.vue'
import CheckLists from '~/components/office/CheckLists.vue'
import { useLoaded } from '~/api/use-loaded'

const { view, problem, load } = useLoaded<OfficePlaces>('/api/office/places')
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <p v-else-if="!view" class="empty">Opening the drawer…</p>
  <CheckLists v-else :places="view.places" />
</template>
