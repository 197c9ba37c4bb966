/** What may be kept: pictures and PDF, by what they are and not by what they are called. */
export const FILE_KINDS = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'application/pdf': 'pdf',
} as const
export type FileMime = keyof typeof FILE_KINDS
export const LARGEST_FILE_BYTES = 10_000_000
/** All files of one person in 24 hours: some hundred photos. */
export const MOST_FILE_BYTES_A_DAY = 300_000_000

export interface FileView {
  id: number
  sha256: string
  name: string
  mime: string
  bytes: number
}
