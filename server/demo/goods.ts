import type { Cut, Rind } from '#core/rules/cuts'
import { bulkMixInput } from '#shared/contracts/rub'
import { deliveryInput, ingredientInput, stockMoveInput } from '#shared/contracts/store'
import { keepFile } from '../services/files/keep-file'
import { makeMix } from '../services/store/make-mix'
import { moveStock } from '../services/store/move-stock'
import { openIngredient, receiveIngredient } from '../services/store/receive-ingredient'
import { receiveDelivery } from '../services/store/receive-delivery'
import type { DemoInstruments } from './instruments'
import { demoCertificate, demoPhoto } from './papers'
import type { Scene } from './scene'

interface Line {
  name: string
  supplierLot: string
  cut: Cut
  rind: Rind
  weight: string
  temperature: string
  decision?: 'hold' | 'refuse'
  poor?: 'smell' | 'colour'
  reason?: string
}
interface Delivery {
  day: number
  time: string
  supplier: string
  document: string
  photo?: boolean
  lines: Line[]
}

const DELIVERIES: readonly Delivery[] = [
  {
    day: -19,
    time: '06:45',
    supplier: 'Cold Hollow Farm',
    document: 'CH note 1182',
    photo: true,
    lines: [
      { name: 'bellies A', supplierLot: 'CH-7731', cut: 'belly', rind: 'off', weight: '8.2 kg', temperature: '3.6' },
      { name: 'loins A', supplierLot: 'CH-7732', cut: 'loin', rind: 'off', weight: '10.1 kg', temperature: '3.8' },
    ],
  },
  {
    day: -15,
    time: '06:50',
    supplier: 'Brackwater Pork',
    document: 'BP 0418',
    lines: [
      {
        name: 'shoulders A',
        supplierLot: 'B2-0418',
        cut: 'shoulder',
        rind: 'off',
        weight: '20.6 kg',
        temperature: '4.2',
      },
      {
        name: 'jowls sent back',
        supplierLot: 'B2-0419',
        cut: 'jowl',
        rind: 'off',
        weight: '2.9 kg',
        temperature: '9.8',
        decision: 'refuse',
        poor: 'smell',
        reason: 'warm and sour; the driver took it back',
      },
    ],
  },
  {
    day: -13,
    time: '06:45',
    supplier: 'Brackwater Pork',
    document: 'BP 0433',
    lines: [
      { name: 'bellies B', supplierLot: 'B2-0433', cut: 'belly', rind: 'on', weight: '15.9 kg', temperature: '3.0' },
    ],
  },
  {
    day: -12,
    time: '06:40',
    supplier: 'Cold Hollow Farm',
    document: 'CH note 1190',
    lines: [
      { name: 'jowls A', supplierLot: 'CH-7758', cut: 'jowl', rind: 'off', weight: '3.6 kg', temperature: '4.9' },
    ],
  },
  {
    day: -7,
    time: '06:45',
    supplier: 'Cold Hollow Farm',
    document: 'CH note 1207',
    lines: [
      {
        name: 'bellies C',
        supplierLot: 'CH-7790',
        cut: 'belly',
        rind: 'off',
        weight: '18 lb 4 oz',
        temperature: '3.4',
      },
    ],
  },
  {
    day: -2,
    time: '06:45',
    supplier: 'Cold Hollow Farm',
    document: 'CH note 1216',
    lines: [
      { name: 'bellies D', supplierLot: 'CH-7804', cut: 'belly', rind: 'off', weight: '14.2 kg', temperature: '3.2' },
      {
        name: 'loins held',
        supplierLot: 'CH-7805',
        cut: 'loin',
        rind: 'off',
        weight: '4.4 kg',
        temperature: '8.6',
        decision: 'hold',
        reason: 'top of the crate warm, core of the piece not measured yet',
      },
    ],
  },
]

const DRY_GOODS = [
  {
    name: 'no1',
    kind: 'curing_salt',
    label: 'Curing salt no. 1',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-61-220',
    amount: '1 kg',
    certificate: { number: 'COA 61-220', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' },
  },
  {
    name: 'no1 old',
    kind: 'curing_salt',
    label: 'Curing salt no. 1',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-58-104',
    amount: '250 g',
    certificate: { number: 'COA 58-104', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' },
  },
  {
    name: 'salt',
    kind: 'salt',
    label: 'Fine sea salt',
    supplier: 'Saltmarsh Supply',
    supplierLot: 'SM-0926',
    amount: '25 kg',
    certificate: null,
  },
  {
    name: 'sugar',
    kind: 'sugar',
    label: 'Light brown sugar',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-88-014',
    amount: '10 kg',
    certificate: null,
  },
  {
    name: 'no1 past',
    kind: 'curing_salt',
    label: 'Curing salt no. 1',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-44-019',
    amount: '100 g',
    bestBefore: -4,
    certificate: { number: 'COA 44-019', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' },
  },
  {
    name: 'no2',
    kind: 'curing_salt',
    agentKind: 'no_2',
    label: 'Curing salt no. 2',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-72-008',
    amount: '500 g',
    certificate: {
      number: 'COA 72-008',
      nitritePercent: '6.25',
      nitriteAs: 'NaNO2',
      tolerancePercent: '0.25',
      nitratePercent: '4',
      nitrateAs: 'NaNO3',
    },
  },
  {
    name: 'salt 06',
    kind: 'curing_salt',
    agentKind: 'nitrite_salt',
    label: 'Nitrite curing salt 0.6',
    supplier: 'Saltmarsh Supply',
    supplierLot: 'SM-N6-31',
    amount: '10 kg',
    certificate: { number: 'SM cert 31', nitritePercent: '0.6 %', nitriteAs: 'NaNO2', tolerancePercent: '0.03' },
  },
  {
    name: 'celery',
    kind: 'curing_salt',
    agentKind: 'vegetable_powder',
    label: 'Celery powder, cultured',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-CP-5',
    amount: '400 g',
    certificate: {
      number: 'COA CP-5',
      nitritePercent: '2.2',
      nitriteAs: 'NaNO2',
      tolerancePercent: '0.1',
      saltPercent: '48',
    },
  },
  {
    name: 'home cure',
    kind: 'curing_salt',
    agentKind: 'home_cure',
    label: 'Ready-mixed home cure',
    supplier: 'Saltmarsh Supply',
    supplierLot: 'SM-HC-2',
    amount: '2 kg',
    certificate: {
      number: 'SM label HC-2',
      nitritePercent: '0.5',
      nitriteAs: 'NaNO2',
      tolerancePercent: '0.03',
      nitratePercent: '0.5',
      saltPercent: '85',
      sugarPercent: '14',
    },
  },
  {
    name: 'iodised',
    kind: 'salt',
    label: 'Table salt, iodised',
    supplier: 'Saltmarsh Supply',
    supplierLot: 'SM-0931',
    amount: '5 kg',
    iodised: true,
    certificate: null,
  },
  {
    name: 'pepper',
    kind: 'spice',
    label: 'Black pepper, cracked',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-BP-77',
    amount: '1.5 kg',
    certificate: null,
  },
  {
    name: 'fennel',
    kind: 'spice',
    label: 'Fennel seed, cracked',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-FS-12',
    amount: '600 g',
    certificate: null,
  },
  {
    name: 'mustard',
    kind: 'spice',
    label: 'Mustard flour',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-MF-03',
    amount: '500 g',
    certificate: null,
    composition: { saltPercent: '0', sugarPercent: '4', waterPercent: '6', allergens: ['mustard'] },
  },
  {
    name: 'juniper',
    kind: 'spice',
    label: 'Juniper, crushed',
    supplier: 'Pepperwick Dry Goods',
    supplierLot: 'PW-JB-40',
    amount: '250 g',
    certificate: null,
  },
  {
    name: 'soy',
    kind: 'spice',
    label: 'Soy sauce',
    supplier: 'Saltmarsh Supply',
    supplierLot: 'SM-SOY-9',
    amount: '3 kg',
    certificate: null,
    composition: { saltPercent: '16', sugarPercent: '2', waterPercent: '70', allergens: ['soy', 'wheat'] },
  },
] as const

interface Goods {
  name: string
  kind: string
  agentKind?: string
  label: string
  supplier: string
  supplierLot: string
  amount: string
  bestBefore?: number
  iodised?: boolean
  composition?: object
  certificate: { number: string } | null
}

function planDryGoods(scene: Scene, who: number): void {
  for (const [i, goods] of (DRY_GOODS as readonly Goods[]).entries()) {
    const minute = String(10 + i)
    scene.add(
      scene.at(-23, `09:${minute}`),
      who,
      async (ctx) => {
        const paper
          = goods.certificate
            && (await keepFile(
              ctx.tables,
              {
                name: `${goods.certificate.number}.pdf`,
                content: demoCertificate(goods.label, goods.supplierLot, goods.certificate.number),
              },
              { byId: ctx.actor.id, nowMs: ctx.nowMs },
            ))
        return receiveIngredient(
          ctx,
          ingredientInput.parse({
            kind: goods.kind,
            name: goods.label,
            supplier: goods.supplier,
            supplierLot: goods.supplierLot,
            amount: goods.amount,
            bestBefore: scene.day(goods.bestBefore ?? (goods.name === 'no1 old' ? 20 : 400)),
            agentKind: goods.agentKind,
            iodised: goods.iodised,
            composition: goods.composition ?? null,
            certificate: goods.certificate && { ...goods.certificate, fileId: paper?.ok ? paper.value.id : null },
          }),
        )
      },
      goods.name,
      'Office laptop',
    )
    scene.add(scene.at(-22, `09:${minute}`), who, ctx => openIngredient(ctx, scene.code(goods.name)))
  }
}

/** Deliveries, the dry goods on the shelf, and what happened to the curing salt beside the lots. */
export function planGoods(scene: Scene, who: { owner: number; maker: number }, instruments: DemoInstruments): void {
  planDryGoods(scene, who.owner)
  for (const d of DELIVERIES) {
    scene.add(
      scene.at(d.day, d.time),
      who.maker,
      async (ctx) => {
        const photo = d.photo
          ? await keepFile(
              ctx.tables,
              { name: 'crate.png', content: demoPhoto() },
              { byId: ctx.actor.id, nowMs: ctx.nowMs },
            )
          : null
        const received = await receiveDelivery(
          ctx,
          deliveryInput.parse({
            supplier: d.supplier,
            document: d.document,
            scaleId: instruments.meatScale,
            thermometerId: instruments.probe,
            photoId: photo?.ok ? photo.value.id : null,
            note: null,
            lines: d.lines.map(line => ({
              supplierLot: line.supplierLot,
              cut: line.cut,
              rind: line.rind,
              weight: line.weight,
              temperature: { typed: line.temperature, unit: 'C' },
              packDate: scene.day(d.day - 2),
              checks: {
                smell: 'good',
                colour: 'good',
                fat: 'good',
                evenness: 'good',
                ...(line.poor ? { [line.poor]: 'poor' } : {}),
              },
              decision: line.decision ?? 'take',
              reason: line.reason ?? null,
            })),
          }),
        )
        if (received.ok) d.lines.forEach((line, i) => scene.codes.set(line.name, received.value.meatCodes[i]!))
        return received
      },
      undefined,
      'Door tablet',
    )
  }
  // A mix for thirty kilograms, weighed once and dispensed since.
  scene.add(
    scene.at(-8, '16:20'),
    who.maker,
    ctx =>
      makeMix(
        ctx,
        bulkMixInput.parse({
          name: 'House mix',
          forKg: '30',
          ppm: '150',
          scaleId: instruments.fineScale,
          bestBefore: scene.day(90),
          parts: [
            { lotCode: scene.code('no1'), weighed: '72.0' },
            { lotCode: scene.code('salt'), weighed: '682.5' },
            { lotCode: scene.code('sugar'), weighed: '300.0' },
          ],
        }),
      ),
    'house mix',
    'Bench tablet',
  )
  const move = (day: number, time: string, name: string, body: unknown) =>
    scene.add(
      scene.at(day, time),
      who.owner,
      ctx => moveStock(ctx, scene.code(name), stockMoveInput.parse(body)),
      undefined,
      'Bench tablet',
    )
  const fine = { scaleId: instruments.fineScale }
  move(-16, '17:10', 'no1 old', {
    kind: 'unassigned',
    amount: '6.2 g',
    reason: 'a bowl mixed for a trial, never put on meat',
    ...fine,
  })
  move(-4, '16:30', 'no1', { kind: 'discarded', amount: '3.4 g', reason: 'spilled on the bench, wiped up', ...fine })
  move(-1, '17:40', 'no1 old', {
    kind: 'count',
    counted: '238.9 g',
    reason: 'lid was loose; probably damp and spilled',
    ...fine,
  })
}
