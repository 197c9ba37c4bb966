<script setup lang="ts">
import { ref } from 'vue'
import { mdiCameraOutline, mdiFileDocumentOutline } from '@mdi/js'
import type { FileView } from '#shared/contracts/files'
import { useUpload } from '~/composables/use-upload'

/** A photo or a paper to go with a record: sent at once, named by the record. */
const props = defineProps<{ label: string; photo?: boolean }>()
const file = defineModel<FileView | null>({ required: true })
const { take, sending, message } = useUpload()
const picker = ref<HTMLInputElement | null>(null)
async function chosen(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const picked = input.files?.[0]
  input.value = ''
  if (picked) file.value = (await take(picked)) ?? file.value
}
</script>

<template>
  <div class="file">
    <input
      ref="picker"
      type="file"
      class="visually-hidden"
      tabindex="-1"
      :aria-label="label"
      :accept="props.photo ? 'image/*' : 'image/*,application/pdf'"
      :capture="props.photo ? 'environment' : undefined"
      @change="chosen"
    />
    <VBtn
      variant="outlined"
      :prepend-icon="props.photo ? mdiCameraOutline : mdiFileDocumentOutline"
      :loading="sending"
      @click="picker?.click()"
    >
      {{ file ? 'Another' : label }}
    </VBtn>
    <span v-if="file" class="small">
      <a :href="`/api/files/${file.id}`" target="_blank" rel="noopener">{{ file.name }}</a>{{ ' ' }}
      <span class="soft">SHA-256 {{ file.sha256.slice(0, 12) }}…</span></span>
    <p v-if="message" class="caution grave" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.file {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.9rem;
  align-items: center;
}
</style>
