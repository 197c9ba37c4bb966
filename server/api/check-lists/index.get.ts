import type { CheckListsView } from '#shared/contracts/checks'
import { readRoute } from '../../http/read-route'
import { checkListViews } from '../../services/checks/check-lists'

export default readRoute(async ({ tables, nowMs }): Promise<CheckListsView> => ({ lists: await checkListViews(tables, nowMs) }))
