import type { Celsius, Fraction, Grams, Millimetres, Milliseconds, Ppm } from '#core/units/quantities'
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
import { formatDate, formatDateInYear } from '#core/calendar/format-date'
import { useSession } from '~/stores/session'
import { clockWords, momentWords } from '~/words/date-words'

/** Figures and dates in the signed-in person's way of writing. */
export function useNotation() {
  const session = useSession()
  const as = computed(() => session.notation)
  return {
    as,
    meat: (massG: Grams) => formatMeat(massG, as.value),
    grams: (massG: Grams, readabilityG = 0.1) => formatIngredient(massG, as.value, readabilityG),
    temperature: (tempC: Celsius) => formatTemperature(tempC, as.value),
    offset: (offsetC: Celsius) => formatOffset(offsetC, as.value),
    limit: (tempC: Celsius) => formatLimit(tempC, as.value),
    ppm: (ppm: Ppm) => formatPpm(ppm, as.value),
    percent: (share: Fraction, decimals = 1) => formatPercent(share, as.value, decimals),
    length: (lengthMm: Millimetres) => formatLength(lengthMm, as.value),
    number: (value: number, decimals: number) => formatNumber(value, decimals, as.value.decimal),
    date: (iso: string) => formatDate(iso, as.value.dates),
    dateInYear: (iso: string) => formatDateInYear(iso, as.value.dates),
    moment: (ms: Milliseconds) => momentWords(ms, session.zone, as.value.dates),
    clock: (ms: Milliseconds) => clockWords(ms, session.zone),
  }
}
