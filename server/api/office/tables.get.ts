import type { OfficeTables } from '#shared/contracts/office'
import { readRoute } from '../../http/read-route'
import { CSV_TABLES } from '../../services/office/take-along'

export default readRoute((): Promise<OfficeTables> => Promise.resolve({ tables: [...CSV_TABLES] }))
