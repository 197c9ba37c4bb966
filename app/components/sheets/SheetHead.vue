<script setup lang="ts">
import { mdiPrinterOutline } from '@mdi/js'

/** The head of a sheet to be printed: the way back, and the printer; neither comes onto the paper. */
const { back = { to: '/cold-room', words: 'To the Cold room' } } = defineProps<{
  title: string
  back?: { to: string; words: string }
}>()
const print = () => window.print()
</script>

<template>
  <div>
    <div class="row spread no-print mb-4">
      <VBtn variant="outlined" :to="back.to">{{ back.words }}</VBtn>
      <VBtn color="primary" :prepend-icon="mdiPrinterOutline" @click="print">Print the sheet</VBtn>
    </div>
    <h1>{{ title }}</h1>
    <p class="soft mb-4"><slot /></p>
  </div>
</template>
