<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp, mdiClose, mdiUndoVariant } from '@mdi/js'
import { ref } from 'vue'
import { useNotice, type Notice } from '~/composables/use-notice'

const { state, last, undo, undoLast, forgo } = useNotice()
const open = ref(false)
async function takeBack(one: Notice): Promise<void> {
  await undo(one)
  if (state.told.length < 2) open.value = false
}
function leave(): void {
  open.value = false
  forgo()
}
</script>

<template>
  <VSnackbar v-model="state.shown" location="bottom" :timeout="9000" color="#2A2320" class="no-print">
    <span role="status">{{ state.text }}</span>
    <template #actions>
      <VBtn v-if="last?.text === state.text" variant="text" color="#F0DCA6" @click="undoLast">Undo</VBtn>
      <VBtn variant="text" color="#F7F2E8" @click="state.shown = false">Close</VBtn>
    </template>
  </VSnackbar>
  <div v-if="last && !state.shown" class="last no-print">
    <ol v-if="open && state.told.length > 1" aria-label="Told on this device in the last ten minutes">
      <li v-for="one in state.told.slice(1)" :key="one.id">
        <VBtn variant="text" :prepend-icon="mdiUndoVariant" @click="takeBack(one)">
          Undo<span class="what">: {{ one.text }}</span>
        </VBtn>
      </li>
    </ol>
    <div class="newest">
      <VBtn variant="text" :prepend-icon="mdiUndoVariant" @click="takeBack(last)">
        Undo<span class="what">: {{ last.text }}</span>
      </VBtn>
      <VBtn
        v-if="state.told.length > 1"
        variant="text"
        :append-icon="open ? mdiChevronDown : mdiChevronUp"
        :aria-expanded="open"
        @click="open = !open"
      >
        {{ state.told.length - 1 }} before
      </VBtn>
      <VBtn class="big-target" variant="text" :icon="mdiClose" aria-label="No undo needed" @click="leave" />
    </div>
  </div>
</template>

<style scoped>
/* A slip of paper at the foot, for as long as undo asks nothing. */
.last {
  position: fixed;
  left: 0;
  bottom: 0;
  z-index: 4;
  background: var(--straw-wash);
  color: var(--peat);
  border-top: 3px solid var(--straw);
  max-width: 100%;
}
.newest {
  display: flex;
  max-width: 100vw;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  border-bottom: 1px solid var(--straw);
}
.last .v-btn {
  min-height: 56px;
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
    max-width: 9rem;
  }
  ol .what {
    max-width: 15rem;
  }
}
</style>
