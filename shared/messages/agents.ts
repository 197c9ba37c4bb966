import type { AgentKind } from '#core/agents/agent-kinds'

/** Curing agents by name, and what each may be used for here. */
export const AGENT_WORDS: Record<AgentKind, { name: string; use: string }> = {
  no_1: { name: 'Curing salt no. 1', use: 'For everything in this shop.' },
  no_2: {
    name: 'Curing salt no. 2',
    use: 'For whole muscle hung to dry for weeks. Refused for anything smoked or fried as bacon.',
  },
  nitrite_salt: {
    name: 'Nitrite curing salt',
    use: 'All the salt comes through it: ppm and salt are tied together, and the Bench shows the line.',
  },
  home_cure: { name: 'Ready-mixed home cure', use: 'Holds nitrate: refused where the rules allow none in bacon.' },
  vegetable_powder: {
    name: 'Vegetable (celery) powder',
    use: 'Counts as nitrite for safety; label law differs by country. Celery is an allergen.',
  },
  potassium_nitrite: {
    name: 'Potassium nitrite',
    use: 'Nearly pure: one gram can kill. Only with a scale that reads to 0.01 g, locked away.',
  },
  saltpetre: {
    name: 'Saltpetre',
    use: 'Nitrate only: refused for bacon where the rules allow none, and no ppm of nitrite can be counted from it.',
  },
  own: { name: 'Another curing agent', use: 'Everything from its certificate.' },
  mix: { name: 'Bulk mix', use: 'Made here from lots in the Store.' },
}
