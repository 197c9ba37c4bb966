import { stepKind } from './kind'

/** The air where it hangs was set to so many percent. */
export const humidity = stepKind({
  figures: { percent: 75 } as { percent: number },
  says: ({ percent }) => ({ percent }),
  stages: ['hang'],
  traits: ['pressed', 'asked'],
})
