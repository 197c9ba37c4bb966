import type { PlaceVerdict } from '#core/places/place-verdict'
import type { TypedTemperature } from '#shared/entry/fields'
import type { Answer, WriteContext } from '../context'
import { readPlace } from './read-place'

/** The verdicts on a fridge, as programs from before there were places know them. */
type FridgeVerdict = 'cold_enough' | 'warm' | 'hold' | 'too_cold' | 'no_reading'
const AS_FRIDGE: Record<PlaceVerdict, FridgeVerdict> = {
  cold_enough: 'cold_enough',
  warm: 'warm',
  too_warm: 'warm',
  empty: 'warm',
  too_cold: 'too_cold',
  no_reading: 'no_reading',
  own_plan: 'cold_enough',
}

/** A place read by its temperature alone, with the verdict that was answered when places were fridges. */
export async function readFridge(
  ctx: WriteContext,
  id: number,
  temperature: TypedTemperature,
): Promise<Answer<{ verdict: FridgeVerdict }>> {
  const read = await readPlace(ctx, id, { temperature, humidity: null, when: { told: 'now' }, lateReason: null })
  return read.ok ? { ok: true, value: { verdict: read.value.held ? 'hold' : AS_FRIDGE[read.value.verdict] } } : read
}
