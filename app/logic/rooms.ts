/** The rooms in the order meat moves; the key opens it after `g`. */
export const ROOMS = [
  { to: '/', name: 'Today', key: 't' },
  { to: '/store', name: 'Store', key: 's' },
  { to: '/bench', name: 'Bench', key: 'b' },
  { to: '/cold-room', name: 'Cold room', key: 'c' },
  { to: '/smokehouse', name: 'Smokehouse', key: 'm' },
  { to: '/slicing-table', name: 'Slicing table', key: 'l' },
  { to: '/ledger', name: 'Ledger', key: 'e' },
  { to: '/recipe-book', name: 'Recipe book', key: 'r' },
  { to: '/office', name: 'Office', key: 'o' },
] as const
