<script setup lang="ts">
import { useNotice } from '~/composables/use-notice'

const { state, undoLast } = useNotice()
</script>

<template>
  <VSnackbar v-model="state.shown" location="bottom" :timeout="9000" color="#2A2320" class="no-print">
    <span role="status">{{ state.notice?.text }}</span>
    <template #actions>
      <VBtn v-if="state.notice?.undo" variant="text" color="#F0DCA6" class="floor" @click="undoLast">Undo</VBtn>
      <VBtn variant="text" color="#F7F2E8" class="floor" @click="state.shown = false">Close</VBtn>
    </template>
  </VSnackbar>
</template>
