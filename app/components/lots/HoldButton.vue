<script setup lang="ts">
import { ref } from 'vue'
import { holdInput } from '#shared/contracts/holds'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Holds a lot because something was seen; only the owner lets it go. */
const props = defineProps<{ code: string }>()
const emit = defineEmits<{ held: [] }>()
const session = useSession()
const { say } = useNotice()
const { save, saving, errorAt, message, forget } = useSave(holdInput)
const open = ref(false)
const text = ref('')
function start(): void {
  forget()
  text.value = ''
  open.value = true
}
async function hold(): Promise<void> {
  if (!(await save(`/api/lots/${props.code}/hold`, { text: text.value }))) return
  open.value = false
  say(`${props.code} is held. It goes nowhere until the owner decides.`)
  emit('held')
}
</script>

<template>
  <span v-if="session.mayWrite" class="no-print">
    <VBtn class="floor" variant="outlined" @click="start">Hold</VBtn>
    <VDialog v-model="open" aria-label="Hold this lot">
      <form class="sheet stack" @submit.prevent="hold">
        <h2>Hold {{ code }}</h2>
        <VTextField
          v-model="text"
          label="What is wrong with it"
          maxlength="500"
          autofocus
          :error-messages="errorAt('text')"
        />
        <SaveProblem :message="message" />
        <div class="row">
          <VBtn type="submit" color="primary" class="floor" :loading="saving">Hold it</VBtn><VBtn class="floor" variant="outlined" @click="open = false">Leave it</VBtn>
        </div>
      </form>
    </VDialog>
  </span>
</template>

<style scoped>
.sheet {
  background: var(--bone);
  color: var(--peat);
  padding: 1.4rem;
}
</style>
