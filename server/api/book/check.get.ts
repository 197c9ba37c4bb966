import { readRoute } from '../../http/read-route'
import { checkBook } from '../../services/book/check-book'
import { appState } from '../../http/app-state'

export default readRoute(() => checkBook(appState().store))
