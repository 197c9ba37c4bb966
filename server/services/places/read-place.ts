import { placeVerdict, type PlaceVerdict } from '#core/places/place-verdict'
import type { PlaceReadingInput } from '#shared/contracts/places'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { humidityWith, readWith } from '../instruments/read-with'
import { happenedOf, whenOf } from '../when-told'
import { judgePlaces } from '../judging/judge-places'
import { lotsThatLay } from '../steps/lots-that-lay'

/**
 * What a place's own instruments show, or showed at an hour that is told late. What lies in it is judged by all that is
 * read of it then.
 */
export async function readPlace(
  ctx: WriteContext,
  placeId: number,
  input: PlaceReadingInput,
): Promise<Answer<{ verdict: PlaceVerdict; held: boolean }>> {
  const { tables } = ctx
  const { temperature, humidity } = input
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const place = await tables.places.one({ id: placeId }, { lock: true })
  if (!place) return refuse('no_such_place')
  const read = temperature ? await readWith(tables, place.thermometerId, temperature.tempC, ['temperature']) : null
  if (read && !read.ok) return read
  const damp = humidity ? await humidityWith(tables, place.hygrometerId, humidity.rh, ['humidity']) : null
  if (damp && !damp.ok) return damp
  const reading = {
    ...(read?.value ?? { tempC: null, offsetC: 0, thermometerId: place.thermometerId }),
    ...(damp?.value ?? { rh: null, offsetRh: null, hygrometerId: null }),
  }
  // Two questions, one sent behind the other: what lies there is asked when the reading stands.
  const [readingId, lots] = await Promise.all([
    tables.placeReadings.insert({
      placeId,
      atMs: when.value,
      typed: temperature?.typed ?? null,
      rhTyped: humidity?.typed ?? null,
      byId: ctx.actor.id,
      ...reading,
    }),
    lotsThatLay(tables, placeId, { lock: true }),
  ])
  recordEvent(ctx, {
    kind: 'place_read',
    subjects: [...(place.code ? [place.code] : []), ...lots.map(lot => lot.code)],
    typed: { place: place.name, temperature: temperature?.typed ?? null, humidity: humidity?.typed ?? null },
    computed: {
      readC: temperature?.tempC ?? null,
      readRh: humidity?.rh ?? null,
      ...reading,
      readingId,
      placeId,
      ...happenedOf(ctx, when.value),
    },
    ...reasonsOf(input.lateReason),
  })
  const held = reading.tempC !== null && (await judgePlaces(ctx, lots))
  return { ok: true, value: { verdict: placeVerdict(place, reading.tempC, lots.length > 0), held } }
}
