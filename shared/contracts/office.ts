import type { CalendarOpen } from './calendar'
import type { Milliseconds } from '#core/units/quantities'
import type { InstrumentView } from './instruments'
import type { ShopView } from './lots'
import type { PlaceSetUp } from './places'
import type { DeviceView, PersonView } from './people'

export interface OfficeView {
  shop: ShopView
  /** Of the rule set in force. */
  jurisdiction: string
  instruments: InstrumentView[]
  places: PlaceSetUp[]
  people: PersonView[]
  /** Every device that is signed in; for the owner's eyes, empty for others. */
  devices: DeviceView[]
  /** Calendars that have an address; for the owner's eyes, empty for others. */
  calendars: CalendarOpen[]
  /** Tables that can be taken along as CSV. */
  tables: string[]
  nowMs: Milliseconds
}
