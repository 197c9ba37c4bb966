import piexif from 'piexifjs'
import type { FileMime } from '#shared/contracts/files'

/** What a camera says of itself that a photo without it would be turned by. */
const KEPT_TAG = piexif.ImageIFD.Orientation

/**
 * A photo without what its camera wrote beside the picture: where it was taken, with which device, a small copy. How it
 * is turned is kept. Other kinds of file are left as they are, and so is a photo whose writing nobody can read.
 */
export function withoutPlace(content: Buffer, mime: FileMime): Buffer {
  if (mime !== 'image/jpeg') return content
  try {
    const text = content.toString('latin1')
    const turned = piexif.load(text)['0th']?.[KEPT_TAG]
    const bare = piexif.remove(text)
    const kept = turned === undefined ? bare : piexif.insert(piexif.dump({ '0th': { [KEPT_TAG]: turned } }), bare)
    return Buffer.from(kept, 'latin1')
  }
  catch {
    // A file without such writing, or with a broken one, says no place that a program could read.
    return content
  }
}
