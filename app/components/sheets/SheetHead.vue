<script setup lang="ts">
import { mdiPrinterOutline } from '@mdi/js'

/** The head of a sheet to be printed: the way back, and the printer; neither comes onto the paper. */
defineProps<{ title: string }>()
const print = () => window.print()
</script>

<template>
  <div>
    <div class="row spread no-print mb-4">
      <VBtn variant="outlined" to="/cold-room">To the Cold room</VBtn>
      <VBtn color="primary" :prepend-icon="mdiPrinterOutline" @click="print">Print the sheet</VBtn>
    </div>
    <h1>{{ title }}</h1>
    <p class="soft mb-4"><slot /></p>
  </div>
</template>
