import { rulesConfirmationInput } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { confirmRules } from '../../services/office/office'

export default writeRoute({ contract: rulesConfirmationInput, roles: ['owner'], write: confirmRules })
