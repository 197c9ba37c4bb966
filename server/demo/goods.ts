import type { Cut, Rind } from '#core/rules/cuts'
import { ingredientInput, meatInput } from '#shared/contracts/store'
import { receiveIngredient, receiveMeat } from '../services/store/receive'
import type { DemoLot } from './lots'
import type { Scene } from './scene'

interface Delivery { name: string, day: number, supplier: string, supplierLot: string, cut: Cut, rind: Rind, weight: string, temperature: string }

const DELIVERIES: readonly Delivery[] = [
  { name: 'bellies A', day: -19, supplier: 'Cold Hollow Farm', supplierLot: 'CH-7731', cut: 'belly', rind: 'off', weight: '8.2 kg', temperature: '2.8' },
  { name: 'loins A', day: -19, supplier: 'Cold Hollow Farm', supplierLot: 'CH-7732', cut: 'loin', rind: 'off', weight: '10.1 kg', temperature: '3.0' },
  { name: 'shoulders A', day: -15, supplier: 'Brackwater Pork', supplierLot: 'B2-0418', cut: 'shoulder', rind: 'off', weight: '15.4 kg', temperature: '3.4' },
  { name: 'bellies B', day: -13, supplier: 'Brackwater Pork', supplierLot: 'B2-0433', cut: 'belly', rind: 'on', weight: '15.9 kg', temperature: '2.2' },
  { name: 'jowls A', day: -12, supplier: 'Cold Hollow Farm', supplierLot: 'CH-7758', cut: 'jowl', rind: 'off', weight: '3.6 kg', temperature: '4.1' },
  { name: 'bellies C', day: -7, supplier: 'Cold Hollow Farm', supplierLot: 'CH-7790', cut: 'belly', rind: 'off', weight: '18 lb 4 oz', temperature: '2.6' },
  { name: 'bellies D', day: -2, supplier: 'Cold Hollow Farm', supplierLot: 'CH-7804', cut: 'belly', rind: 'off', weight: '14.2 kg', temperature: '2.4' },
]

const DRY_GOODS = [
  { name: 'no1', kind: 'curing_salt', label: 'Curing salt no. 1', supplier: 'Pepperwick Dry Goods', supplierLot: 'PW-61-220', amount: '1 kg', certificate: { number: 'COA 61-220', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' } },
  { name: 'salt', kind: 'salt', label: 'Fine sea salt', supplier: 'Saltmarsh Supply', supplierLot: 'SM-0926', amount: '25 kg', certificate: null },
  { name: 'sugar', kind: 'sugar', label: 'Light brown sugar', supplier: 'Pepperwick Dry Goods', supplierLot: 'PW-88-014', amount: '10 kg', certificate: null },
] as const

/** Deliveries, and the dry goods on the shelf. */
export function planGoods(scene: Scene, who: { owner: number, maker: number }): void {
  for (const goods of DRY_GOODS) {
    scene.add(scene.at(-23, '09:00'), who.owner, ctx => receiveIngredient(ctx, ingredientInput.parse({
      kind: goods.kind, name: goods.label, supplier: goods.supplier, supplierLot: goods.supplierLot, amount: goods.amount,
      bestBefore: scene.day(400), certificate: goods.certificate,
    })), goods.name)
  }
  for (const d of DELIVERIES) {
    scene.add(scene.at(d.day, '06:45'), who.maker, ctx => receiveMeat(ctx, meatInput.parse({
      supplier: d.supplier, supplierLot: d.supplierLot, cut: d.cut, rind: d.rind, weight: d.weight,
      temperature: { typed: d.temperature, unit: 'C' }, packDate: scene.day(d.day - 2), note: null,
    })), d.name)
  }
}

/** Ten lots at ten points of their lives. */
export const DEMO_LOTS: readonly (Omit<DemoLot, 'fridge'> & { fridge: 'coldRoom' | 'reachIn' })[] = [
  { name: 'belly 1', cut: 'belly', rind: 'off', meat: 'bellies A', rubDay: -18, rubTime: '10:10', weights: ['2.64 kg', '2.705 kg', '2.38 kg'], ppm: 150, salt: 2.5, sugar: 1, thicknessMm: 38, fridge: 'coldRoom', outDay: -10 },
  { name: 'loin 1', cut: 'loin', rind: 'off', meat: 'loins A', rubDay: -18, rubTime: '11:05', weights: ['2.29 kg', '2.215 kg'], ppm: 150, salt: 2.4, sugar: 0.8, thicknessMm: 45, fridge: 'coldRoom', outDay: -10 },
  { name: 'shoulder 1', cut: 'shoulder', rind: 'off', meat: 'shoulders A', rubDay: -14, rubTime: '09:20', weights: ['3.12 kg', '2.98 kg'], ppm: 150, salt: 2.6, sugar: 1.2, thicknessMm: 52, fridge: 'coldRoom', outDay: -4, missed: [-9] },
  { name: 'belly 2', cut: 'belly', rind: 'on', meat: 'bellies B', rubDay: -12, rubTime: '14:30', weights: ['3.42 kg', '3.385 kg', '3.51 kg'], ppm: 145, salt: 2.5, sugar: 1, thicknessMm: 40, fridge: 'coldRoom', outDay: -2 },
  { name: 'jowl 1', cut: 'jowl', rind: 'off', meat: 'jowls A', rubDay: -11, rubTime: '08:50', weights: ['865', '910', '840', '790'], ppm: 150, salt: 2.5, sugar: 0.5, thicknessMm: 34, fridge: 'coldRoom', outDay: -2 },
  { name: 'shoulder 2', cut: 'shoulder', rind: 'off', meat: 'shoulders A', rubDay: -9, rubTime: '13:15', weights: ['2.87 kg', '2.94 kg', '2.79 kg'], ppm: 150, salt: 2.6, sugar: 1.2, thicknessMm: 50, fridge: 'coldRoom' },
  { name: 'belly 3', cut: 'belly', rind: 'off', meat: 'bellies C', rubDay: -6, rubTime: '09:40', weights: ['1.998 kg', '2.07 kg'], ppm: 0, salt: 3, sugar: 1.5, thicknessMm: 36, fridge: 'coldRoom', saltOnly: true, note: 'Salt only for the Millgate order. Cook before eating, freeze within a week.' },
  { name: 'belly 4', cut: 'belly', rind: 'on', meat: 'bellies B', rubDay: -5, rubTime: '15:05', weights: ['2.66 kg', '2.72 kg'], ppm: 145, salt: 2.5, sugar: 1, thicknessMm: 40, fridge: 'reachIn' },
  { name: 'loin 2', cut: 'loin', rind: 'off', meat: 'loins A', rubDay: -3, rubTime: '10:45', weights: ['2.31 kg', '2.18 kg'], ppm: 150, salt: 2.4, sugar: 0.8, thicknessMm: 46, fridge: 'coldRoom', missed: [-1, 0] },
  { name: 'belly 5', cut: 'belly', rind: 'off', meat: 'bellies D', rubDay: -1, rubTime: '09:25', weights: ['2.415 kg', '2.36 kg', '2.52 kg', '2.285 kg'], ppm: 150, salt: 2.5, sugar: 1, thicknessMm: 37, fridge: 'coldRoom', missed: [0] },
]
