import { afterAll, afterEach, beforeAll, expect, it } from 'vitest'
import { localDay } from '#core/calendar/local-day'
import type { PlanStarter } from '#core/plan/starters'
import { turningDate } from '#core/turning/turning-day'
import { rowSays, tap } from './rows'
import * as schools from './schools'
import { ZONE } from './shop'

/** A maker's shop for the ways of one file: opened before them, shut after, no page of it broken between. */
export class MakersDay {
  here!: schools.Schools

  constructor() {
    beforeAll(async () => {
      this.here = await schools.openSchools()
    })
    afterEach(() => expect(this.visit.faults).toEqual([]))
    afterAll(async () => {
      await this.visit.close()
      await this.shop.close()
    })
  }

  get shop() {
    return this.here.shop
  }

  get visit() {
    return this.here.visit
  }

  go = (path: string) => schools.go(this.here, path)
  pass = (hours: number) => schools.pass(this.here, hours)
  rub = (starter: PlanStarter, more: schools.Rubbed = {}) => schools.rub(this.here, starter, more)
  kinds = (code: string) => schools.kinds(this.here, code)
  hours = (item: number, from: string, to: string) => schools.hours(this.here, item, from, to)
  outAndTacky = (code: string) => schools.outAndTacky(this.here, code)
  heat = (code: string, how: schools.Heated = {}) => schools.heat(this.here, code, how)
  slice = (code: string, readyG: number, more: Parameters<typeof schools.slice>[3] = {}) =>
    schools.slice(this.here, code, readyG, more)

  liesNow = (code: string, words: string) => schools.liesNow(this.here, code, words)
  more = (code: string) => tap(this.visit.page, code, 'Moved, leaked')

  /** Wrapped overnight, as most do between smoke and knife. */
  restWrapped = async (code: string): Promise<void> => {
    await rowSays(this.visit.page, code, 'next: rest wrapped')
    await tap(this.visit.page, code, 'Resting, wrapped')
    await this.liesNow(code, 'resting wrapped since')
    await this.pass(9)
  }

  /** Smoked hot, rested, sliced and packed: nothing of it is left. */
  smokedToThePack = async (code: string, readyG: number, how: schools.Heated = {}): Promise<void> => {
    await this.heat(code, how)
    await this.go('/cold-room')
    await this.restWrapped(code)
    await this.slice(code, readyG)
  }

  /** The last of a file: whatever way it went, all of it went, and nothing had to be said in a note. */
  nothingIsLeft(): void {
    it('and of all that nothing is left, nothing is held, and nothing stands in a note', async () => {
      const left = await this.shop.sql('SELECT id FROM pieces WHERE gone_at IS NULL')
      const held = await this.shop.sql('SELECT reason FROM holds')
      const notes = await this.shop.sql('SELECT id FROM lots WHERE note IS NOT NULL')
      const looks = await this.shop.sql('SELECT id FROM steps WHERE kind = \'look\' AND JSON_VALUE(figures, \'$.note\') IS NOT NULL')
      expect([...left, ...held, ...notes, ...looks]).toEqual([])
    })
  }
}

/** Turned now, it is turned again tomorrow; before four the turn was yesterday's, and the next is today's. */
export const nextTurn = () => (localDay(Date.now(), ZONE) > turningDate(Date.now(), ZONE) ? 'today' : 'tomorrow')
