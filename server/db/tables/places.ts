import type { PlaceKind, PlaceUse } from '#core/places/place-kind'
import { bool, celsius, decimal, instant, int, json, nullable, text } from '../schema/column'
import { formerly, tableSpec, voidableSpec } from '../schema/table-spec'

/** Percent of relative humidity. */
const humidity = () => decimal(6, 3)

/** Wherever meat lies, hangs or is heated. They were fridges once, and keep their ids. */
export const places = formerly(
  tableSpec(
    'places',
    {
      code: nullable(text(16)),
      name: text(),
      kind: text<PlaceKind>(16),
      /** What is done in it; null: the usual of its kind. */
      can: nullable(json<PlaceUse[]>()),
      thermometerId: nullable(int()),
      hygrometerId: nullable(int()),
      shelves: nullable(int()),
      hooks: nullable(int()),
      /** Where meat hangs to dry. */
      targetC: nullable(celsius()),
      targetRh: nullable(humidity()),
      inUse: bool(),
    },
    [
      'code',
      'name',
      'kind',
      'can',
      'thermometerId',
      'hygrometerId',
      'shelves',
      'hooks',
      'targetC',
      'targetRh',
      'inUse',
    ],
  ),
  'fridges',
  { name: 'name', thermometer_id: 'thermometer_id' },
)

/** What a place's instruments showed: °C, percent of relative humidity, or both. */
export const placeReadings = formerly(
  voidableSpec(
    'place_readings',
    {
      placeId: int(),
      atMs: instant(),
      /** What was read less the thermometer's offset. */
      tempC: nullable(celsius()),
      typed: nullable(text(32)),
      thermometerId: nullable(int()),
      offsetC: celsius(),
      rh: nullable(humidity()),
      rhTyped: nullable(text(32)),
      hygrometerId: nullable(int()),
      /** The hygrometer's offset, taken off. */
      offsetRh: nullable(humidity()),
      byId: int(),
    },
    ['tempC', 'typed', 'rh', 'rhTyped'],
  ),
  'fridge_readings',
  {
    fridge_id: 'place_id',
    at: 'at',
    temp_c: 'temp_c',
    typed: 'typed',
    thermometer_id: 'thermometer_id',
    offset_c: 'offset_c',
    by_id: 'by_id',
    voided: 'voided',
  },
)
