import { deliveryInput } from '#shared/contracts/store'
import { writeRoute } from '../http/write-route'
import { receiveDelivery } from '../services/store/receive-delivery'

export default writeRoute({ contract: deliveryInput, write: receiveDelivery })
