<script setup lang="ts">
import { ref } from 'vue'
import { mdiTagOutline } from '@mdi/js'
import type { LotPiece } from '#shared/contracts/lots'
import { LONGEST_TAG, tagInput } from '#shared/entry/tags'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** What is tied to a piece, and the way to tie something else. */
const props = defineProps<{ code: string; piece: LotPiece }>()
const emit = defineEmits<{ tagged: [] }>()
const session = useSession()
const recorded = useRecorded()
const { save, saving, errorAt, message } = useSave(tagInput)
const typed = ref<string | null>(null)
async function keep(): Promise<void> {
  const tag = typed.value?.trim() || null
  const done = await save(`/api/pieces/${props.piece.id}/tag`, { tag })
  if (!done) return
  typed.value = null
  const words = `${props.code}: piece ${props.piece.label} ${tag ? `is tagged ${tag}` : 'has no tag'}.`
  recorded(words, done.eventId, async () => emit('tagged'))
  emit('tagged')
}
</script>

<template>
  <form v-if="typed !== null" class="row" @submit.prevent="keep" @keydown.esc="typed = null">
    <VTextField
      v-model="typed"
      :label="`Tag of piece ${piece.label}`"
      :maxlength="LONGEST_TAG"
      :error-messages="errorAt('tag')"
      autofocus
    />
    <VBtn type="submit" class="slim" variant="outlined" :loading="saving">Keep</VBtn>
    <SaveProblem :message="message" />
  </form>
  <span v-else class="tag">
    {{ piece.tag ?? '' }}
    <VBtn
      v-if="session.mayWrite"
      variant="text"
      size="small"
      :icon="mdiTagOutline"
      :aria-label="`Tag piece ${piece.label}`"
      @click="typed = piece.tag ?? ''"
    />
  </span>
</template>

<style scoped>
.tag {
  display: inline-flex;
  align-items: center;
  gap: 0.2rem;
  margin-left: 0.5rem;
}
.row {
  align-items: start;
  min-width: 11rem;
}
</style>
