import { DRAWERS } from './drawers'
import { ROOMS } from './rooms'

/** A page: where it is, what it is found by, and where it is looked at. */
export interface AppPage {
  /** The path as its file under `app/pages` has it. */
  path: string
  /** What it is called, and what stands on it: the search field finds it by both. None: it is reached by a code. */
  name?: string
  holds?: string
  /** Only where the device is one person's own. */
  own?: boolean
  /** Addresses in the demo shop at which tests look at it; none: at its own. */
  seen?: readonly string[]
  /** True of a page with nothing to see before something was recorded. */
  needsRecords?: boolean
}

/**
 * Every page of a shop, in the order of its rooms. Before one is signed in, there are `set-up` and `sign-in` besides.
 */
export const PAGES: readonly AppPage[] = [
  ...ROOMS.map(({ to, name }) => ({ path: to, name, ...(to === '/ledger' ? { seen: ['/ledger?code=L-0001'] } : {}) })),
  { path: '/store/salt-ledger', name: 'Salt ledger', holds: 'Every gram of curing salt' },
  { path: '/store/mix', name: 'Mix a cure', holds: 'A mix of the shop\'s own' },
  { path: '/bench/practice', name: 'Practice bench', holds: 'Try a rub that is not recorded' },
  { path: '/bench/spoons', name: 'Spoons', holds: 'What a spoon of curing salt weighs' },
  { path: '/bench/card/[code]', seen: ['/bench/card/B-0001'], needsRecords: true },
  { path: '/lots/[code]', seen: ['/lots/L-0003', '/lots/L-0008'], needsRecords: true },
  { path: '/runs/[code]', seen: ['/runs/S-0001', '/runs/S-0003'], needsRecords: true },
  { path: '/ledger/lots', name: 'All lots', holds: 'Lots of all years' },
  { path: '/ledger/book', name: 'The book', holds: 'Every record, and the walk along it' },
  { path: '/sheets/cold-room', needsRecords: true },
  { path: '/sheets/hanging', needsRecords: true },
  { path: '/sheets/newer-rules', needsRecords: true },
  ...DRAWERS.map(({ to, name, holds, own }) => ({ path: to, name, holds, own })),
]
