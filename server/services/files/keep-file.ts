import { MS_PER_DAY, type Milliseconds } from '#core/units/quantities'
import { MOST_FILE_BYTES_A_DAY, type FileView } from '#shared/contracts/files'
import type { Tables } from '../../db/database'
import { since } from '../../db/schema/where'
import { sha256 } from '../../digest/sha256'
import { refuse, type Answer } from '../context'
import { cleanName } from './clean-name'
import { sniffMime } from './sniff-mime'
import { withoutPlace } from './without-place'

/** All but the content. */
const VIEWED = ['sha256', 'name', 'mime', 'bytes'] as const

/**
 * Keeps a photo or a certificate, a photo without its place. The same bytes are kept once; what they are is read from
 * them, not from their name. A person keeps so much in a day and no more.
 */
export async function keepFile(
  tables: Tables,
  file: { name: string; content: Buffer },
  who: { byId: number; nowMs: Milliseconds },
): Promise<Answer<FileView>> {
  if (file.content.length === 0) return refuse('file_empty')
  const mime = sniffMime(file.content)
  if (mime === null) return refuse('file_kind')
  const content = withoutPlace(file.content, mime)
  const digest = sha256(content)
  const [known] = await tables.files.pick(VIEWED, { sha256: digest }, { limit: 1 })
  if (known) return { ok: true, value: view(known) }
  const row = { sha256: digest, mime, name: cleanName(file.name, mime), bytes: content.length }
  // A file comes before the record that names it: whoever never records must not fill the disk.
  const todayBytes = await tables.files.sum('bytes', { byId: who.byId, atMs: since(who.nowMs - MS_PER_DAY) })
  if (todayBytes + row.bytes > MOST_FILE_BYTES_A_DAY) return refuse('files_much', { mostBytes: MOST_FILE_BYTES_A_DAY })
  const id = await tables.files.insert({ ...row, content, atMs: who.nowMs, byId: who.byId })
  return { ok: true, value: { id, ...row } }
}

const view = ({ id, sha256, name, mime, bytes }: FileView): FileView => ({ id, sha256, name, mime, bytes })

/** True for no file and for one that is kept; the record that names it then seals it, by its content's hash. */
export async function knownFile(tables: Tables, id: number | null): Promise<boolean> {
  if (id === null) return true
  const known = (await tables.files.count({ id })) === 1
  if (known) tables.book.touch('files', [{ id, digest: null }])
  return known
}

/** Files by id, without their content. */
export async function fileViews(tables: Tables, ids: readonly number[]): Promise<Map<number, FileView>> {
  const rows = ids.length ? await tables.files.pick(VIEWED, { id: [...new Set(ids)] }) : []
  return new Map(rows.map(row => [row.id, view(row)]))
}
