import { emptyInput } from '#shared/contracts/lots'
import { appState } from '../../../http/app-state'
import { writeRoute } from '../../../http/write-route'
import { offerSecondFactor } from '../../../services/people/second-factor'

export default writeRoute({
  contract: emptyInput,
  roles: ['owner'],
  ownSignIn: true,
  confirmed: true,
  shownOnce: true,
  write: (ctx, _input, _event, { session }) =>
    offerSecondFactor(ctx, { sessionId: session.id, sessionSecret: appState().settings.sessionSecret }),
})
