import type { IsoDate } from '../calendar/local-day'

/** Whether something of the store is past its best-before date; on the date itself it is not. Null: it has none. */
export const isPastDate = ({ bestBefore }: { bestBefore: IsoDate | null }, today: IsoDate): boolean =>
  bestBefore !== null && bestBefore < today
