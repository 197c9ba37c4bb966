import { runInput } from '#shared/contracts/smoke'
import { writeRoute } from '../http/write-route'
import { startRun } from '../services/smoke/runs'

export default writeRoute({ contract: runInput, write: startRun })
