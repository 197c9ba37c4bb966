import { rulesConfirmationInput } from '#shared/contracts/rules'
import { writeRoute } from '../../http/write-route'
import { confirmRules } from '../../services/rules/manage-rules'

export default writeRoute({ contract: rulesConfirmationInput, roles: ['owner'], write: confirmRules })
