import { CURING_SALT_NO_1, type CuringAgent } from '../cure/agent'

/** What curing agents are sold as. `mix` is a bulk cure made in the shop. */
export const AGENT_KINDS = [
  'no_1',
  'no_2',
  'nitrite_salt',
  'home_cure',
  'vegetable_powder',
  'potassium_nitrite',
  'saltpetre',
  'own',
  'mix',
] as const
export type AgentKind = (typeof AGENT_KINDS)[number]

/**
 * An agent kind as data: what its label usually says, and what it is for. A lot's own certificate overrides the
 * figures.
 */
export interface AgentType {
  kind: AgentKind
  usual: CuringAgent
  /** Figures only a certificate can give: the usual ones are a guess to be overwritten. */
  fromCertificate: boolean
  /** `anything`: wherever the rules allow it. `long_dried`: hung to dry, never smoked or fried as bacon. */
  use: 'anything' | 'long_dried'
}

const agent = (given: Partial<CuringAgent>): CuringAgent => ({
  nitriteFraction: 0,
  nitriteAs: 'NaNO2',
  nitrateFraction: 0,
  saltFraction: 0,
  labelTolerance: 0,
  ...given,
})

const type = (kind: AgentKind, usual: CuringAgent, more: Partial<AgentType> = {}): AgentType => ({
  kind,
  usual,
  fromCertificate: false,
  use: 'anything',
  ...more,
})

/**
 * Every agent there is, none left out: the compiler asks for each. Source: the labels they are sold under; tolerance of
 * no. 1 and 2 a common specification, 6.0 to 6.5 %. A bulk mix is stored as the kind of its agent; `mix` stands only
 * for one whose agent nobody recorded, and is held to the strictest use.
 */
const TYPES: Record<AgentKind, AgentType> = {
  no_1: type('no_1', CURING_SALT_NO_1),
  no_2: type(
    'no_2',
    agent({ nitriteFraction: 0.0625, nitrateFraction: 0.04, saltFraction: 0.8975, labelTolerance: 0.0025 }),
    { use: 'long_dried' },
  ),
  nitrite_salt: type('nitrite_salt', agent({ nitriteFraction: 0.006, saltFraction: 0.994, labelTolerance: 0.0003 })),
  home_cure: type(
    'home_cure',
    agent({
      nitriteFraction: 0.005,
      nitrateFraction: 0.005,
      saltFraction: 0.85,
      sugarFraction: 0.14,
      labelTolerance: 0.0003,
    }),
  ),
  vegetable_powder: type(
    'vegetable_powder',
    agent({ nitriteFraction: 0.02, saltFraction: 0.5, labelTolerance: 0.002 }),
    { fromCertificate: true },
  ),
  potassium_nitrite: type(
    'potassium_nitrite',
    agent({ nitriteFraction: 0.98, nitriteAs: 'KNO2', labelTolerance: 0.02 }),
  ),
  saltpetre: type('saltpetre', agent({ nitrateFraction: 1, nitrateAs: 'KNO3' })),
  own: type('own', CURING_SALT_NO_1, { fromCertificate: true }),
  mix: type('mix', CURING_SALT_NO_1, { fromCertificate: true, use: 'long_dried' }),
}
/** What is received under a label; a mix is made here. */
export const AGENT_TYPES: readonly AgentType[] = Object.values(TYPES).filter(one => one.kind !== 'mix')
/** An agent that is nearly all nitrite: a batch takes under a gram, and one gram can kill. */
export const isNearlyPure = (a: Pick<CuringAgent, 'nitriteFraction'>): boolean => a.nitriteFraction > 0.2

export const agentType = (kind: AgentKind): AgentType => TYPES[kind]
