import { HOUSE_SETTING_KEYS, type HouseSetting, type HouseSettings } from '#shared/contracts/house-settings'
import type { RowOf } from '../../db/schema/table-spec'
import type { shops } from '../../db/tables/people'

type Shop = RowOf<typeof shops>
/** Columns that are older than the list of settings. */
const OLD_NAMES = { targetPpm: 'houseTargetPpm', floorPpm: 'houseFloorPpm', maxPpm: 'houseMaxPpm' } as const
type ColumnOf<K extends HouseSetting> = K extends keyof typeof OLD_NAMES ? (typeof OLD_NAMES)[K] : K
const columnOf = (key: HouseSetting) => (key in OLD_NAMES ? OLD_NAMES[key as keyof typeof OLD_NAMES] : key) as ColumnOf<HouseSetting>

/** What a shop asks beyond its rule set. */
export const houseOf = (shop: Pick<Shop, ColumnOf<HouseSetting>>): HouseSettings =>
  Object.fromEntries(HOUSE_SETTING_KEYS.map(key => [key, shop[columnOf(key)]])) as HouseSettings

/** The same as columns of the shop's row. */
export const houseColumns = (settings: HouseSettings): Pick<Shop, ColumnOf<HouseSetting>> =>
  Object.fromEntries(HOUSE_SETTING_KEYS.map(key => [columnOf(key), settings[key]])) as Pick<Shop, ColumnOf<HouseSetting>>
