import { computed } from 'vue'
import {
  formatIngredient,
  formatLength,
  formatLimit,
  formatMeat,
  formatNumber,
  formatOffset,
  formatPercent,
  formatPpm,
  formatTemperature,
} from '#core/units/format'
import { formatDate, formatDateInYear } from '#core/units/format-date'
import { useSession } from '~/stores/session'
import { clockWords, momentWords } from '~/composables/date-words'

/** Figures and dates in the signed-in person's way of writing. */
export function useNotation() {
  const session = useSession()
  const as = computed(() => session.notation)
  return {
    as,
    meat: (massG: number) => formatMeat(massG, as.value),
    grams: (massG: number, readabilityG = 0.1) => formatIngredient(massG, as.value, readabilityG),
    temperature: (tempC: number) => formatTemperature(tempC, as.value),
    offset: (offsetC: number) => formatOffset(offsetC, as.value),
    limit: (tempC: number) => formatLimit(tempC, as.value),
    ppm: (ppm: number) => formatPpm(ppm, as.value),
    percent: (share: number, decimals = 1) => formatPercent(share, as.value, decimals),
    length: (lengthMm: number) => formatLength(lengthMm, as.value),
    number: (value: number, decimals: number) => formatNumber(value, decimals, as.value.decimal),
    date: (iso: string) => formatDate(iso, as.value.dates),
    dateInYear: (iso: string) => formatDateInYear(iso, as.value.dates),
    moment: (ms: number) => momentWords(ms, session.zone, as.value.dates),
    clock: (ms: number) => clockWords(ms, session.zone),
  }
}
