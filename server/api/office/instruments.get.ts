import type { OfficeInstruments } from '#shared/contracts/office'
import { readRoute } from '../../http/read-route'
import { instrumentViews } from '../../services/instruments/marks'

export default readRoute(
  async ({ tables, nowMs }): Promise<OfficeInstruments> => ({ instruments: await instrumentViews(tables, nowMs) }),
)
