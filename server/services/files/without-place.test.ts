import piexif from 'piexifjs'
import { expect, it } from 'vitest'
import { withoutPlace } from './without-place'

/** The smallest picture that decoders take: one grey point. */
const POINT = Buffer.from(
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////'
  + '////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=',
  'base64',
)
const { ImageIFD, GPSIFD } = piexif
const taken = (tags: Record<number, unknown> = {}) =>
  Buffer.from(
    piexif.insert(
      piexif.dump({
        '0th': { [ImageIFD.Make]: 'Some camera', ...tags },
        'GPS': { [GPSIFD.GPSLatitudeRef]: 'N', [GPSIFD.GPSLatitude]: [[52, 1], [31, 1], [12, 1]] },
      }),
      POINT.toString('latin1'),
    ),
    'latin1',
  )
const told = (content: Buffer) => piexif.load(content.toString('latin1'))

it('a photo loses where it was taken and by what, and keeps how it is turned', () => {
  const photo = taken({ [ImageIFD.Orientation]: 6 })
  expect(Object.keys(told(photo).GPS!)).not.toEqual([])
  const kept = told(withoutPlace(photo, 'image/jpeg'))
  expect(kept.GPS).toEqual({})
  expect(kept['0th']).toEqual({ [ImageIFD.Orientation]: 6 })
  expect(photo.includes('Some camera')).toBe(true)
  expect(withoutPlace(photo, 'image/jpeg').includes('Some camera')).toBe(false)
})
it('the picture itself is left as it was, to the byte', () => {
  expect(withoutPlace(taken(), 'image/jpeg').equals(POINT)).toBe(true)
  expect(withoutPlace(POINT, 'image/jpeg').equals(POINT)).toBe(true)
})
it('what is no photo, or a broken one, is kept as it came', () => {
  const broken = Buffer.concat([POINT.subarray(0, 12), Buffer.from('no picture')])
  expect(withoutPlace(broken, 'image/jpeg').equals(broken)).toBe(true)
  const paper = Buffer.from('%PDF-1.7 GPS')
  expect(withoutPlace(paper, 'application/pdf')).toBe(paper)
})
