import { personInput } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { addPerson } from '../../services/people/add-person'

export default writeRoute({
  contract: personInput,
  roles: ['owner'],
  confirmed: input => input.role === 'owner',
  write: addPerson,
})
