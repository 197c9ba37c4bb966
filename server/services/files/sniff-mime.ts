import type { FileMime } from '#shared/contracts/files'

const starts = (content: Buffer, text: string, at = 0): boolean =>
  content.subarray(at, at + text.length).toString('latin1') === text

/** What a file is, by its first bytes; null when it is none of the kinds that are kept. */
export function sniffMime(content: Buffer): FileMime | null {
  if (starts(content, '\xFF\xD8\xFF')) return 'image/jpeg'
  if (starts(content, '\x89PNG\r\n\x1A\n')) return 'image/png'
  if (starts(content, 'RIFF') && starts(content, 'WEBP', 8)) return 'image/webp'
  return starts(content, '%PDF-') ? 'application/pdf' : null
}
