<script setup lang="ts">
import { computed, reactive } from 'vue'
import { PLACE_KINDS, PLACE_USES, USUAL_USES, type PlaceKind, type PlaceUse } from '#core/places/place-kind'
import { formatTemperature } from '#core/units/format'
import type { InstrumentView } from '#shared/contracts/instruments'
import { placeInput, type PlaceSetUp } from '#shared/contracts/places'
import { PLACE_WORDS, USE_WORDS } from '#shared/messages/places'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** A place to be added, or to be changed. */
const props = defineProps<{ place: PlaceSetUp | null; instruments: InstrumentView[] }>()
const emit = defineEmits<{ saved: [] }>()
const { as } = useNotation()
const { say } = useNotice()
const { save, saving, errorAt, message } = useSave(placeInput)

const typedNumber = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value))
const form = reactive({
  name: props.place?.name ?? '',
  kind: (props.place?.kind ?? 'fridge') as PlaceKind,
  uses: [...(props.place?.uses ?? USUAL_USES.fridge)] as PlaceUse[],
  thermometerId: props.place?.thermometerId ?? null,
  hygrometerId: props.place?.hygrometerId ?? null,
  shelves: typedNumber(props.place?.shelves),
  hooks: typedNumber(props.place?.hooks),
  target: props.place?.targetC == null ? '' : formatTemperature(props.place.targetC, as.value),
  targetRh: typedNumber(props.place?.targetRh),
  inUse: props.place?.inUse ?? true,
})
const KINDS = PLACE_KINDS.map(value => ({ value, title: PLACE_WORDS[value] }))
const choices = (kind: InstrumentView['kind']) => [
  { value: null, title: 'none named' },
  ...props.instruments.filter(one => one.kind === kind && one.inUse).map(one => ({ value: one.id, title: one.name })),
]
const hangs = computed(() => form.uses.includes('hang'))
function chooseKind(kind: PlaceKind): void {
  form.kind = kind
  form.uses = [...USUAL_USES[kind]]
}
const whole = (typed: string) => (typed.trim() === '' ? null : Number(typed))
const isUsual = computed(() => {
  const usual = USUAL_USES[form.kind]
  return usual.length === form.uses.length && usual.every(use => form.uses.includes(use))
})
async function keep(): Promise<void> {
  const body = {
    name: form.name,
    kind: form.kind,
    can: isUsual.value ? null : form.uses,
    thermometerId: form.thermometerId,
    hygrometerId: form.hygrometerId,
    shelves: whole(form.shelves),
    hooks: whole(form.hooks),
    target: form.target.trim() === '' ? null : { typed: form.target, unit: as.value.temperature },
    targetRh: form.targetRh.trim() === '' ? null : form.targetRh,
    inUse: form.inUse,
  }
  const done = props.place
    ? await save(`/api/office/places/${props.place.id}`, body, 'PUT')
    : await save('/api/office/places', body)
  if (!done) return
  say(`${form.name} is kept.`)
  emit('saved')
}
</script>

<template>
  <form class="slip fields" @submit.prevent="keep">
    <VTextField v-model="form.name" label="Name" :error-messages="errorAt('name')" />
    <VSelect :model-value="form.kind" :items="KINDS" label="Kind" @update:model-value="chooseKind" />
    <VSelect
      v-model="form.thermometerId"
      :items="choices('thermometer')"
      label="Temperature read on"
      :error-messages="errorAt('thermometerId')"
    />
    <VSelect
      v-model="form.hygrometerId"
      :items="choices('hygrometer')"
      label="Humidity read on"
      :error-messages="errorAt('hygrometerId')"
    />
    <fieldset class="full row">
      <legend class="small">What is done there</legend>
      <VCheckbox v-for="use in PLACE_USES" :key="use" v-model="form.uses" :value="use" :label="USE_WORDS[use]" hide-details />
    </fieldset>
    <VTextField v-model="form.shelves" label="Shelves" inputmode="numeric" :error-messages="errorAt('shelves')" />
    <VTextField v-model="form.hooks" label="Hooks" inputmode="numeric" :error-messages="errorAt('hooks')" />
    <template v-if="hangs">
      <VTextField
        v-model="form.target"
        label="To be kept at"
        :suffix="`°${as.temperature}`"
        :error-messages="errorAt('target')"
      />
      <VTextField v-model="form.targetRh" label="Humidity to be" suffix="% RH" :error-messages="errorAt('targetRh')" />
    </template>
    <VCheckbox v-if="place" v-model="form.inUse" label="In use" :error-messages="errorAt('inUse')" />
    <div class="full"><VBtn type="submit" color="primary" :loading="saving">Keep</VBtn></div>
    <p v-if="errorAt('can')" class="full caution grave" role="alert">Say at least one thing that is done there.</p>
    <SaveProblem class="full" :message="message" />
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
}
.full {
  grid-column: 1 / -1;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  gap: 0 1.4rem;
}
@media (--narrow) {
  .fields {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
@media (--phone) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
