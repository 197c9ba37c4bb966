import { rulesInForceInput } from '#shared/contracts/rules'
import { writeRoute } from '../../http/write-route'
import { chooseRules } from '../../services/rules/manage-rules'

export default writeRoute({ contract: rulesInForceInput, roles: ['owner'], write: chooseRules })
