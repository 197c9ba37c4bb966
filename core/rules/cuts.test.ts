import { expect, it } from 'vitest'
import { cutGroup, CUTS } from './cuts'

it('belly has rows of its own, all else the general ones', () =>
  expect(CUTS.filter(cut => cutGroup(cut) === 'belly')).toEqual(['belly']))
