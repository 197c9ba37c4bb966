<script setup lang="ts">
import { mdiClose, mdiUndoVariant } from '@mdi/js'
import { useNotice } from '~/composables/use-notice'

const { state, undoLast, forgo } = useNotice()
</script>

<template>
  <VSnackbar v-model="state.shown" location="bottom" :timeout="9000" color="#2A2320" class="no-print">
    <span role="status">{{ state.notice?.text }}</span>
    <template #actions>
      <VBtn v-if="state.undoable" variant="text" color="#F0DCA6" @click="undoLast">Undo</VBtn>
      <VBtn variant="text" color="#F7F2E8" @click="state.shown = false">Close</VBtn>
    </template>
  </VSnackbar>
  <div v-if="state.undoable && !state.shown" class="last no-print">
    <VBtn variant="text" :prepend-icon="mdiUndoVariant" @click="undoLast">
      Undo<span class="what">: {{ state.notice?.text }}</span>
    </VBtn>
    <VBtn class="big-target" variant="text" :icon="mdiClose" aria-label="No undo needed" @click="forgo" />
  </div>
</template>

<style scoped>
/* A slip of paper at the foot, for as long as undo asks nothing. */
.last {
  position: fixed;
  left: 0;
  bottom: 0;
  z-index: 4;
  display: flex;
  background: var(--straw-wash);
  color: var(--peat);
  border-top: 3px solid var(--straw);
  max-width: 100%;
}
.last .v-btn {
  max-width: calc(100vw - 60px);
}
.what {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 22rem;
  font-weight: 400;
}
@media (--phone) {
  .what {
    max-width: 12rem;
  }
}
</style>
