import { ref } from 'vue'
import { LARGEST_FILE_BYTES, type FileView } from '#shared/contracts/files'
import type { Problem } from '#shared/contracts/problem'
import { wordsOf } from '#shared/messages/refusals/catalogue'
import { problemWords, upload } from '~/api/client'
import { useSession } from '~/stores/session'

/** Sends a photo or a certificate ahead of the record that will name it. */
export function useUpload() {
  const session = useSession()
  const sending = ref(false)
  const message = ref('')

  async function take(file: File): Promise<FileView | null> {
    message.value = ''
    if (file.size > LARGEST_FILE_BYTES) {
      message.value = wordsOf('file_too_large', { bytes: LARGEST_FILE_BYTES }, session.notation)
      return null
    }
    sending.value = true
    const reply = await upload<FileView>(`/api/files?name=${encodeURIComponent(file.name)}`, file)
    sending.value = false
    if (reply.ok) return reply.value
    const problem: Problem = reply.problem
    message.value = problemWords(problem, session.notation)
    return null
  }
  return { take, sending, message }
}
