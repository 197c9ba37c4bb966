import { instrumentCheckInput, instrumentInput } from '#shared/contracts/instruments'
import type { WriteContext } from '../services/context'
import { addInstrument, recordInstrumentCheck } from '../services/instruments/manage'
import type { Scene } from './scene'

/** What the demo's probe shows above the true core. */
export const PROBE_OFFSET_C = 0.8

export interface DemoInstruments {
  meatScale: number
  fineScale: number
  coldRoom: number
  probe: number
  reachIn: number
  garage: number
  kitchen: number
}

/** The instruments of the first visit, by what they are for, and more for the reach-in fridge and the garage. */
export async function demoInstruments(ctx: WriteContext): Promise<DemoInstruments> {
  const add = async (input: unknown) => {
    const added = await addInstrument(ctx, instrumentInput.parse(input))
    if (!added.ok) throw new Error(added.code)
    return added.value.id
  }
  const reachIn = await add({
    kind: 'thermometer',
    name: 'Reach-in thermometer',
    readability: { typed: '0.1', unit: 'C' },
    everyDays: 14,
  })
  const garage = await add({
    kind: 'thermometer',
    name: 'Garage thermometer',
    readability: { typed: '0.1', unit: 'C' },
    everyDays: 90,
  })
  const kitchen = await add({ kind: 'scale', name: 'Kitchen scale', purpose: 'mix', readabilityG: '1', everyDays: 30 })
  const all = await ctx.tables.instruments.find()
  const idOf = (name: string) => all.find(one => one.name === name)!.id
  return {
    meatScale: idOf('Meat scale'),
    fineScale: idOf('Fine scale'),
    coldRoom: idOf('Cold-room thermometer'),
    probe: idOf('Probe'),
    reachIn,
    garage,
    kitchen,
  }
}

/** Checks on the first day; the probe reads high, and the reach-in's check has been overdue for some days. */
export function planChecks(scene: Scene, of: DemoInstruments, who: number): void {
  const check = (day: number, time: string, id: number, body: unknown) =>
    scene.add(scene.at(day, time), who, ctx => recordInstrumentCheck(ctx, id, instrumentCheckInput.parse(body)), undefined, 'Bench tablet')
  const ice = (typed: string, note: string | null = null) => ({ method: 'ice_point', read: { typed, unit: 'C' }, note })
  check(-24, '08:50', of.meatScale, { method: 'check_weight', reference: '2 kg', read: '2 kg', note: null })
  check(-24, '08:53', of.fineScale, { method: 'check_weight', reference: '50 g', read: '50.0 g', note: null })
  check(-24, '08:56', of.kitchen, { method: 'check_weight', reference: '50 g', read: '50 g', note: null })
  check(-24, '09:05', of.coldRoom, ice('0.3'))
  check(-24, '09:10', of.probe, ice(PROBE_OFFSET_C.toFixed(1), 'reads a little high; offset taken over'))
  check(-24, '09:14', of.reachIn, ice('-0.2'))
  check(-24, '09:18', of.garage, ice('0.2'))
}
