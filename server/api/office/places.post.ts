import { placeInput } from '#shared/contracts/places'
import { writeRoute } from '../../http/write-route'
import { addPlace } from '../../services/places/set-up-place'

export default writeRoute({ contract: placeInput, roles: ['owner'], write: addPlace })
