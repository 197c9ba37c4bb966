<script setup lang="ts">
import { ref } from 'vue'
import { checkInput, type CheckListView } from '#shared/contracts/checks'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import SaveProblem from './SaveProblem.vue'

/** One list, gone through thing by thing. What is left out is said why, and asked for again. */
const props = defineProps<{ list: CheckListView }>()
const emit = defineEmits<{ saved: [] }>()
const { say } = useNotice()
const { save, saving, errorAt, message } = useSave<{ passed: boolean }>(checkInput)
const done = ref<number[]>([])
const cleanedWith = ref('')
const note = ref('')
async function record(): Promise<void> {
  const kept = await save(`/api/check-lists/${props.list.id}/checks`, {
    done: done.value,
    cleanedWith: cleanedWith.value.trim() || null,
    note: note.value.trim() || null,
  })
  if (!kept) return
  say(`${props.list.name}: ${kept.passed ? 'all in order.' : 'recorded; it is asked for again.'}`)
  done.value = []
  note.value = ''
  emit('saved')
}
</script>

<template>
  <div class="check" role="group" :aria-label="list.name">
    <VCheckbox v-for="(item, i) in list.items" :key="i" v-model="done" :value="i" :label="item" density="comfortable" hide-details />
    <div class="with">
      <VTextField v-model="cleanedWith" label="Cleaned with, if it was" :error-messages="errorAt('cleanedWith')" />
      <VTextField v-model="note" label="Note; why, where something is left out" :error-messages="errorAt('note')" />
    </div>
    <SaveProblem :message="message" />
    <div>
      <VBtn variant="outlined" :loading="saving" @click="record">
        {{ done.length === list.items.length ? 'All in order' : `${done.length} of ${list.items.length} done` }}
      </VBtn>
    </div>
  </div>
</template>

<style scoped>
.check {
  display: grid;
  gap: 0.2rem;
  padding-left: 0.8rem;
  border-left: 3px solid var(--hair-strong);
}
.with {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
  gap: 0.6rem;
}
.v-btn {
  min-height: 56px;
}
.check :deep(.v-checkbox) {
  min-height: 56px;
}
</style>
