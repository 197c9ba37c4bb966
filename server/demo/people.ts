import type { Role } from '#shared/contracts/people'

/** Everyone here is made up. */
export const DEMO_PASSWORD = 'bacon-and-brine'
export const DEMO_SIGN_INS: readonly {
  signIn: string
  name: string
  initials: string
  role: Role
  pin: string | null
}[] = [
  { signIn: 'marit', name: 'Marit Oakhurst', initials: 'MO', role: 'owner', pin: '4071' },
  { signIn: 'tam', name: 'Tam Veldry', initials: 'TV', role: 'maker', pin: '2846' },
  { signIn: 'quill', name: 'R. Quillon', initials: 'RQ', role: 'inspector', pin: null },
]

export const DEMO_SHOP = { name: 'Harrow Lane Curing Shed', zone: 'America/Chicago' }
