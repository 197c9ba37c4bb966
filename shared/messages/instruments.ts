import type { InstrumentState } from '#core/instruments/instrument-state'
import type { CheckMethod } from '../contracts/instruments'

export const STATE_WORDS: Record<InstrumentState, string> = {
  checked: 'checked',
  overdue: 'check overdue',
  never: 'not checked yet',
  failed: 'failed its check',
}
export const CHECK_METHOD_WORDS: Record<CheckMethod, string> = {
  check_weight: 'check weight',
  ice_point: 'ice water',
  reference: 'reference thermometer',
  salt_point: 'wet salt',
  reference_rh: 'reference hygrometer',
}
