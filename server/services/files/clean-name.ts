import { FILE_KINDS, type FileMime } from '#shared/contracts/files'

const LONGEST = 120

/**
 * A name to show and to save under: no path, no control characters, the ending that fits what it is. Never a place on
 * our disk.
 */
export function cleanName(raw: string, mime: FileMime): string {
  const base = raw
    .normalize('NFC')
    .split(/[\\/]/)
    .at(-1)!
    .replace(/[\p{Cc}\p{Cf}"<>|:*?]/gu, '')
    .replace(/^\.+/, '')
    .trim()
  const stem = base.replace(/\.[a-z0-9]{1,5}$/i, '').slice(0, LONGEST)
  return `${stem || 'file'}.${FILE_KINDS[mime]}`
}
