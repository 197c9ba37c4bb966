import { readRoute } from '../../http/read-route'
import { checkBook } from '../../services/book/check-book'
import { appState } from '../../http/app-state'

export default readRoute(() => {
  const { store, settings } = appState()
  return checkBook(store, settings.databaseUrl)
})
