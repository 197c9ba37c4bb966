import { problemWords } from '~/api/client'
import { sendSigned } from '~/composables/signed-send'
import { useNotice } from '~/composables/use-notice'
import { useSession } from '~/stores/session'

/** Says what was recorded, with an undo that voids it; `again` loads the page's figures anew. */
export function useRecorded() {
  const { say } = useNotice()
  const session = useSession()
  return (words: string, eventId: number | null, again: () => Promise<unknown>): void => {
    say(
      words,
      eventId === null
        ? undefined
        : async () => {
          const undone = await sendSigned('POST', `/api/events/${eventId}/undo`, {}, crypto.randomUUID())
          await again()
          say(
            undone.ok
              ? 'Voided. The record stays in the book as such.'
              : problemWords(undone.problem, session.notation),
          )
        },
    )
  }
}
