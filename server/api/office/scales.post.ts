import { scaleInput } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { addScale } from '../../services/office/office'

export default writeRoute({ contract: scaleInput, roles: ['owner'], write: addScale })
