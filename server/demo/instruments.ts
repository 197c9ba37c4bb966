import { checkInput } from '#shared/contracts/instruments'
import type { Store } from '../db/store'
import { recordCheck } from '../services/instruments/manage'
import type { Scene } from './scene'

/** What the demo's probe shows above the true core. */
export const PROBE_OFFSET_C = 0.8

export interface DemoInstruments { meatScale: number, fineScale: number, coldRoom: number, probe: number, reachIn: number, kitchen: number }

/** The instruments of the first visit, by what they are for, and one more for the reach-in fridge. */
export async function demoInstruments(store: Store): Promise<DemoInstruments> {
  const reachIn = await store.tables.instruments.insert({ kind: 'thermometer', name: 'Reach-in thermometer', readability: 0.1, offsetC: 0, everyDays: 14, inUse: true })
  const kitchen = await store.tables.instruments.insert({ kind: 'scale', name: 'Kitchen scale', purpose: 'mix', readability: 1, offsetC: 0, everyDays: 30, inUse: true })
  const all = await store.tables.instruments.find()
  const idOf = (name: string) => all.find(one => one.name === name)!.id
  return { meatScale: idOf('Meat scale'), fineScale: idOf('Fine scale'), coldRoom: idOf('Cold-room thermometer'), probe: idOf('Probe'), reachIn, kitchen }
}

/** Checks on the first day; the probe reads high, and the reach-in's check has been overdue for some days. */
export function planChecks(scene: Scene, of: DemoInstruments, who: number): void {
  const check = (day: number, time: string, id: number, body: unknown) => scene.add(scene.at(day, time), who, ctx => recordCheck(ctx, id, checkInput.parse(body)), undefined, 'Bench tablet')
  const ice = (typed: string, note: string | null = null) => ({ method: 'ice_point', read: { typed, unit: 'C' }, note })
  check(-24, '08:50', of.meatScale, { method: 'check_weight', reference: '2 kg', read: '2 kg', note: null })
  check(-24, '08:53', of.fineScale, { method: 'check_weight', reference: '50 g', read: '50.0 g', note: null })
  check(-24, '08:56', of.kitchen, { method: 'check_weight', reference: '50 g', read: '50 g', note: null })
  check(-24, '09:05', of.coldRoom, ice('0.3'))
  check(-24, '09:10', of.probe, ice(PROBE_OFFSET_C.toFixed(1), 'reads a little high; offset taken over'))
  check(-24, '09:14', of.reachIn, ice('-0.2'))
}
