import { upperFirst } from '#core/lists/upper-first'
import type { Task, TaskKind } from '#core/today/task'
import type { Notation } from '#core/units/format'
import { dueWords } from '#shared/messages/due'

interface Where {
  room: string
  to: (subject: string) => string
  words: string
}
const inColdRoom = (words: string): Where => ({ room: 'Cold room', to: code => `/cold-room#${code}`, words })

/** Where a task is done, and what it is called there. */
export const WHERE: Record<TaskKind, Where> = {
  turn: inColdRoom('Turn all pieces'),
  drain: inColdRoom('Pour the liquid off'),
  look: inColdRoom('Look at it'),
  add: inColdRoom('Put more on'),
  second_half: { room: 'Bench', to: code => `/lots/${code}`, words: 'Second application' },
  end_cure: inColdRoom('Ready: take out'),
  ask_plan: inColdRoom('Will it be smoked?'),
  rinse: inColdRoom('Rinse'),
  soak: inColdRoom('Soak'),
  fry_test: inColdRoom('Fry a slice, taste it'),
  rest: inColdRoom('Lay to rest'),
  dry: inColdRoom('Set to dry'),
  flavour: inColdRoom('Flavour'),
  cut: inColdRoom('Cut up'),
  hang: inColdRoom('Hang to dry'),
  weigh: inColdRoom('Weigh what hangs'),
  humidity: inColdRoom('Set the humidity'),
  touch: inColdRoom('Is the surface tacky?'),
  read_place: { room: 'Cold room', to: () => '/cold-room', words: 'Read the temperature' },
  read_smoke: { room: 'Smokehouse', to: code => `/runs/${code}`, words: 'Read chamber and core' },
  read_cooling: { room: 'Smokehouse', to: code => `/runs/${code}`, words: 'Read the cooling core' },
  smoke: { room: 'Smokehouse', to: () => '/smokehouse', words: 'Into the smoke' },
  go_on: { room: 'Smokehouse', to: () => '/smokehouse', words: 'Smoke again, or slice' },
  slice: { room: 'Slicing table', to: code => `/slicing-table?lot=${code}`, words: 'Slice and pack' },
  send: { room: 'Slicing table', to: () => '/slicing-table#send', words: 'Packs to send' },
}

/** What is to be done, as its plan has it: "Massage all pieces", "Turn the rest". */
export function taskWords({ kind, because, pieces }: Pick<Task, 'kind' | 'because' | 'pieces'>, as: Notation): string {
  if (kind === 'humidity' && because) return upperFirst(dueWords({ kind, because }, as))
  if (kind !== 'turn' || because?.why !== 'rhythm') return WHERE[kind].words
  return `${upperFirst(dueWords({ kind, because }, as))} ${pieces ? 'the rest' : 'all pieces'}`
}
