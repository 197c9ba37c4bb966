/** The Office's drawers, from the top: what each is called, what lies in it, and whether it is only for whoever owns the device. */
export const DRAWERS = [
  { to: '/office/mine', name: 'My own', holds: 'How I write figures, my password, PIN and calendar', own: true },
  { to: '/office/people', name: 'People and doors', holds: 'Accounts, devices that are signed in, calendars, closed names', own: false },
  { to: '/office/places', name: 'Places', holds: 'Fridges, drying rooms, smokers, tables, and what they are read on', own: false },
  { to: '/office/instruments', name: 'Instruments', holds: 'Scales, thermometers and hygrometers, and their checks', own: false },
  { to: '/office/lists', name: 'Lists', holds: 'What is looked into and cleaned before it is used', own: false },
  { to: '/office/rules', name: 'Rules', holds: 'What the law allows, what this shop asks, confirmation', own: false },
  { to: '/office/take-along', name: 'Take along', holds: 'The whole shop as a file, tables for a spreadsheet', own: false },
] as const
