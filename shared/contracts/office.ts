import type { ScaleView, ShopView } from './lots'
import type { DeviceView, PersonView } from './people'

export interface OfficeView {
  shop: ShopView
  scales: ScaleView[]
  fridges: { id: number, name: string }[]
  people: PersonView[]
  /** Every device that is signed in; for the owner's eyes, empty for others. */
  devices: DeviceView[]
}
