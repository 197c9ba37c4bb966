import { statfs } from 'node:fs/promises'
import { FULL_DISK_BYTES } from '#core/rules/house'

/** Faults of a folder that is not ours to look into, or not there: how much room is left is then not known. */
const UNKNOWN = new Set(['EACCES', 'ENOENT', 'ENOTDIR'])

/** Room on the disk that the data lie on, bytes; null where they lie elsewhere or cannot be reached. */
export async function freeBytes(dataFolder: string | null): Promise<number | null> {
  if (dataFolder === null) return null
  try {
    const { bavail, bsize } = await statfs(dataFolder)
    return bavail * bsize
  }
  catch (error) {
    if (UNKNOWN.has((error as NodeJS.ErrnoException).code ?? '')) return null
    throw error
  }
}

export const isDiskLow = async (dataFolder: string | null): Promise<boolean> =>
  ((await freeBytes(dataFolder)) ?? Infinity) < FULL_DISK_BYTES
