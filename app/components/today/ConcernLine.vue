<script setup lang="ts">
import { NuxtLink } from '#components'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import type { Concern } from './not-right'

/** One thing that is not right: what it is about, what is wrong, and where it is mended. */
defineProps<{ concern: Concern }>()
</script>

<template>
  <div class="concern">
    <StateMark :tone="concern.tone">{{ concern.mark }}</StateMark>
    <LotCode v-if="concern.code" :code="concern.code" />
    <strong v-if="concern.name">{{ concern.name }}</strong>
    <span v-if="concern.words">{{ concern.words }}</span>
    <NuxtLink v-if="concern.to" :to="concern.to.path">{{ concern.to.words }}</NuxtLink>
    <InstrumentNote v-if="concern.instrument" :mark="concern.instrument" />
  </div>
</template>

<style scoped>
.concern {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.7rem;
  align-items: center;
}
</style>
