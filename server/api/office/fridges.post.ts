import { fridgeInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../http/write-route'
import { addFridge } from '../../services/instruments/manage'

export default writeRoute({ contract: fridgeInput, roles: ['owner'], write: addFridge })
