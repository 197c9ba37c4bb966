import type { Role } from '#shared/contracts/people'

/** Everyone here is made up. */
export const DEMO_PASSWORD = 'bacon-and-brine'
export const DEMO_SIGN_INS: readonly { signIn: string, name: string, initials: string, role: Role }[] = [
  { signIn: 'marit', name: 'Marit Oakhurst', initials: 'MO', role: 'owner' },
  { signIn: 'tam', name: 'Tam Veldry', initials: 'TV', role: 'maker' },
  { signIn: 'quill', name: 'R. Quillon', initials: 'RQ', role: 'inspector' },
]

export const DEMO_SHOP = { name: 'Harrow Lane Curing Shed', zone: 'America/Chicago' }
