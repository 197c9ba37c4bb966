import { notationInput, ROLES } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { chooseNotation } from '../../services/shop/shop-facts'

export default writeRoute({ contract: notationInput, roles: ROLES, ownSignIn: true, write: chooseNotation })
