<script setup lang="ts">
import { computed, onMounted, watch } from 'vue'
import type { InstrumentKind } from '#shared/contracts/instruments'
import { STATE_WORDS } from '#shared/messages/instruments'
import { useFloor } from '~/stores/floor'

/** What a figure was read on: the one used last on this device for the same purpose, until another is chosen. */
const props = defineProps<{
  kind: InstrumentKind
  purpose: string
  label: string
  prefer?: 'meat' | 'mix'
  forCore?: boolean
  error?: string | undefined
}>()
const chosen = defineModel<number | null>({ required: true })
const floor = useFloor()
const memory = `veldmoor-instrument-${props.purpose}`
/** A thermometer that hangs in a place is read there; a core is read on one that hangs nowhere. */
const hung = computed(() => new Set((floor.view?.places ?? []).map(place => place.thermometerId)))
const choices = computed(() =>
  (floor.view?.instruments ?? [])
    .filter(one => one.kind === props.kind)
    .toSorted((a, b) => (props.forCore ? Number(hung.value.has(a.id)) - Number(hung.value.has(b.id)) : 0)),
)
const items = computed(() => [
  { value: null, title: 'not named' },
  ...choices.value.map(one => ({
    value: one.id,
    title: one.state === 'checked' ? one.name : `${one.name} (${STATE_WORDS[one.state]})`,
  })),
])

function begin(): void {
  if (chosen.value !== null) return
  const last = Number(localStorage.getItem(memory))
  chosen.value
    = choices.value.find(one => one.id === last)?.id
      ?? choices.value.find(one => one.purpose === props.prefer)?.id
      ?? choices.value[0]?.id
      ?? null
}
function choose(id: number | null): void {
  chosen.value = id
  if (id !== null) localStorage.setItem(memory, String(id))
}
onMounted(async () => {
  if (!floor.view) await floor.load()
  begin()
})
watch(chosen, (id) => {
  if (id === null && items.value.length > 1 && localStorage.getItem(memory) === null) begin()
})
</script>

<template>
  <VSelect
    :model-value="chosen"
    :items="items"
    :label="label"
    :error-messages="error ? [error] : []"
    @update:model-value="choose"
  />
</template>
