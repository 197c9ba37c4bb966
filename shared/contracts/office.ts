import type { CalendarOpen } from './calendar'
import type { InstrumentView } from './instruments'
import type { DeviceView, PersonView } from './people'
import type { PlaceSetUp } from './places'

/** What the Office knows of whoever reads. */
export interface OfficeMine {
  hasPin: boolean
  hasSecondFactor: boolean
}
/** Who may come in, and on what. */
export interface OfficePeople {
  people: PersonView[]
  /** Every device that is signed in; for the owner's eyes, empty for others. */
  devices: DeviceView[]
  /** Calendars that have an address; for the owner's eyes, empty for others. */
  calendars: CalendarOpen[]
}
/** Places, and the instruments that they are read on. */
export interface OfficePlaces {
  places: PlaceSetUp[]
  instruments: InstrumentView[]
}
export interface OfficeInstruments {
  instruments: InstrumentView[]
}
/** Tables that can be taken along as CSV. */
export interface OfficeTables {
  tables: string[]
}
