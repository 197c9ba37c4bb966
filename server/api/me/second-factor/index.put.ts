import { secondFactorInput } from '#shared/contracts/people'
import { appState } from '../../../http/app-state'
import { writeRoute } from '../../../http/write-route'
import { checkCurrent, setSecondFactor } from '../../../services/people/second-factor'

export default writeRoute({
  contract: secondFactorInput,
  roles: ['owner'],
  ownSignIn: true,
  confirmed: true,
  shownOnce: true,
  before: ({ current }, at, nowMs) => checkCurrent(appState().store, at, current, nowMs),
  write: (ctx, input, _event, { session }) =>
    setSecondFactor(ctx, input, { sessionId: session.id, sessionSecret: appState().settings.sessionSecret }),
})
