import type { Cut, Rind } from '#core/rules/cuts'
import { deliveryInput, ingredientInput, stockMoveInput } from '#shared/contracts/store'
import { keepFile } from '../services/files/keep-file'
import { moveStock } from '../services/store/move-stock'
import { openIngredient, receiveIngredient } from '../services/store/receive-ingredient'
import { receiveDelivery } from '../services/store/receive-delivery'
import type { DemoInstruments } from './instruments'
import { demoCertificate, demoPhoto } from './papers'
import type { Scene } from './scene'

interface Line { name: string, supplierLot: string, cut: Cut, rind: Rind, weight: string, temperature: string, decision?: 'hold' | 'refuse', poor?: 'smell' | 'colour', reason?: string }
interface Delivery { day: number, time: string, supplier: string, document: string, photo?: boolean, lines: Line[] }

const DELIVERIES: readonly Delivery[] = [
  { day: -19, time: '06:45', supplier: 'Cold Hollow Farm', document: 'CH note 1182', photo: true, lines: [
    { name: 'bellies A', supplierLot: 'CH-7731', cut: 'belly', rind: 'off', weight: '8.2 kg', temperature: '3.6' },
    { name: 'loins A', supplierLot: 'CH-7732', cut: 'loin', rind: 'off', weight: '10.1 kg', temperature: '3.8' },
  ] },
  { day: -15, time: '06:50', supplier: 'Brackwater Pork', document: 'BP 0418', lines: [
    { name: 'shoulders A', supplierLot: 'B2-0418', cut: 'shoulder', rind: 'off', weight: '20.6 kg', temperature: '4.2' },
    { name: 'jowls sent back', supplierLot: 'B2-0419', cut: 'jowl', rind: 'off', weight: '2.9 kg', temperature: '9.8', decision: 'refuse', poor: 'smell', reason: 'warm and sour; the driver took it back' },
  ] },
  { day: -13, time: '06:45', supplier: 'Brackwater Pork', document: 'BP 0433', lines: [
    { name: 'bellies B', supplierLot: 'B2-0433', cut: 'belly', rind: 'on', weight: '15.9 kg', temperature: '3.0' },
  ] },
  { day: -12, time: '06:40', supplier: 'Cold Hollow Farm', document: 'CH note 1190', lines: [
    { name: 'jowls A', supplierLot: 'CH-7758', cut: 'jowl', rind: 'off', weight: '3.6 kg', temperature: '4.9' },
  ] },
  { day: -7, time: '06:45', supplier: 'Cold Hollow Farm', document: 'CH note 1207', lines: [
    { name: 'bellies C', supplierLot: 'CH-7790', cut: 'belly', rind: 'off', weight: '18 lb 4 oz', temperature: '3.4' },
  ] },
  { day: -2, time: '06:45', supplier: 'Cold Hollow Farm', document: 'CH note 1216', lines: [
    { name: 'bellies D', supplierLot: 'CH-7804', cut: 'belly', rind: 'off', weight: '14.2 kg', temperature: '3.2' },
    { name: 'loins held', supplierLot: 'CH-7805', cut: 'loin', rind: 'off', weight: '4.4 kg', temperature: '8.6', decision: 'hold', reason: 'top of the crate warm, core of the piece not measured yet' },
  ] },
]

const DRY_GOODS = [
  { name: 'no1', kind: 'curing_salt', label: 'Curing salt no. 1', supplier: 'Pepperwick Dry Goods', supplierLot: 'PW-61-220', amount: '1 kg', certificate: { number: 'COA 61-220', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' } },
  { name: 'no1 old', kind: 'curing_salt', label: 'Curing salt no. 1', supplier: 'Pepperwick Dry Goods', supplierLot: 'PW-58-104', amount: '250 g', certificate: { number: 'COA 58-104', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' } },
  { name: 'salt', kind: 'salt', label: 'Fine sea salt', supplier: 'Saltmarsh Supply', supplierLot: 'SM-0926', amount: '25 kg', certificate: null },
  { name: 'sugar', kind: 'sugar', label: 'Light brown sugar', supplier: 'Pepperwick Dry Goods', supplierLot: 'PW-88-014', amount: '10 kg', certificate: null },
] as const

function planDryGoods(scene: Scene, who: number): void {
  for (const [i, goods] of DRY_GOODS.entries()) {
    const minute = String(10 + i)
    scene.add(scene.at(-23, `09:${minute}`), who, async (ctx) => {
      const paper = goods.certificate && await keepFile(ctx.tables, { name: `${goods.certificate.number}.pdf`, content: demoCertificate(goods.label, goods.supplierLot, goods.certificate.number) }, { byId: ctx.actor.id, nowMs: ctx.nowMs })
      return receiveIngredient(ctx, ingredientInput.parse({
        kind: goods.kind, name: goods.label, supplier: goods.supplier, supplierLot: goods.supplierLot, amount: goods.amount, bestBefore: scene.day(goods.name === 'no1 old' ? 20 : 400),
        certificate: goods.certificate && { ...goods.certificate, fileId: paper?.ok ? paper.value.id : null },
      }))
    }, goods.name, 'Office laptop')
    scene.add(scene.at(-22, `09:${minute}`), who, ctx => openIngredient(ctx, scene.code(goods.name)))
  }
}

/** Deliveries, the dry goods on the shelf, and what happened to the curing salt beside the lots. */
export function planGoods(scene: Scene, who: { owner: number, maker: number }, instruments: DemoInstruments): void {
  planDryGoods(scene, who.owner)
  for (const d of DELIVERIES) {
    scene.add(scene.at(d.day, d.time), who.maker, async (ctx) => {
      const photo = d.photo ? await keepFile(ctx.tables, { name: 'crate.png', content: demoPhoto() }, { byId: ctx.actor.id, nowMs: ctx.nowMs }) : null
      const received = await receiveDelivery(ctx, deliveryInput.parse({
        supplier: d.supplier, document: d.document, scaleId: instruments.meatScale, thermometerId: instruments.probe, photoId: photo?.ok ? photo.value.id : null, note: null,
        lines: d.lines.map(line => ({
          supplierLot: line.supplierLot, cut: line.cut, rind: line.rind, weight: line.weight, temperature: { typed: line.temperature, unit: 'C' }, packDate: scene.day(d.day - 2),
          checks: { smell: 'good', colour: 'good', fat: 'good', evenness: 'good', ...(line.poor ? { [line.poor]: 'poor' } : {}) }, decision: line.decision ?? 'take', reason: line.reason ?? null,
        })),
      }))
      if (received.ok) d.lines.forEach((line, i) => scene.codes.set(line.name, received.value.meatCodes[i]!))
      return received
    }, undefined, 'Door tablet')
  }
  const move = (day: number, time: string, name: string, body: unknown) => scene.add(scene.at(day, time), who.owner, ctx => moveStock(ctx, scene.code(name), stockMoveInput.parse(body)), undefined, 'Bench tablet')
  const fine = { scaleId: instruments.fineScale }
  move(-16, '17:10', 'no1 old', { kind: 'unassigned', amount: '6.2 g', reason: 'a bowl mixed for a trial, never put on meat', ...fine })
  move(-4, '16:30', 'no1', { kind: 'discarded', amount: '3.4 g', reason: 'spilled on the bench, wiped up', ...fine })
  move(-1, '17:40', 'no1 old', { kind: 'count', counted: '238.9 g', reason: 'lid was loose; probably damp and spilled', ...fine })
}
