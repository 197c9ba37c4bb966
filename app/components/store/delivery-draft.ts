import type { Cut, Rind } from '#core/rules/cuts'
import type { FileView } from '#shared/contracts/files'
import type { ArrivalChecks, DECISIONS } from '#shared/contracts/store'

export interface LineDraft {
  cut: Cut
  rind: Rind
  supplierLot: string
  weight: string
  temperature: string
  packDate: string
  checks: Partial<ArrivalChecks>
  decision: (typeof DECISIONS)[number]
  reason: string
}
export interface DeliveryDraft {
  supplier: string
  document: string
  note: string
  scaleId: number | null
  thermometerId: number | null
  photo: FileView | null
  lines: LineDraft[]
}

export const emptyLine = (): LineDraft => ({
  cut: 'belly',
  rind: 'off',
  supplierLot: '',
  weight: '',
  temperature: '',
  packDate: '',
  checks: {},
  decision: 'take',
  reason: '',
})
export const emptyDelivery = (): DeliveryDraft => ({
  supplier: '',
  document: '',
  note: '',
  scaleId: null,
  thermometerId: null,
  photo: null,
  lines: [emptyLine()],
})
