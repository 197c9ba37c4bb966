<script setup lang="ts">
import { reactive } from 'vue'
import { CHECK_ASKED, type CheckAsked } from '#core/places/check-state'
import { checkListInput, type CheckListView } from '#shared/contracts/checks'
import type { PlaceSetUp } from '#shared/contracts/places'
import { ASKED_WORDS } from '#shared/messages/checks'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** A list to be added, or to be changed: one thing a line. */
const props = defineProps<{ list: CheckListView | null; places: PlaceSetUp[] }>()
const emit = defineEmits<{ saved: [] }>()
const { say } = useNotice()
const { save, saving, errorAt, message } = useSave(checkListInput)
const form = reactive({
  name: props.list?.name ?? '',
  placeId: props.list?.place?.id ?? null,
  items: props.list?.items.join('\n') ?? '',
  asked: (props.list?.asked ?? 'before_heat') as CheckAsked,
  goodForHours: String(props.list?.goodForHours ?? 24),
  inUse: props.list?.inUse ?? true,
})
const places = [
  { value: null, title: 'a tool, wherever it is used' },
  ...props.places.filter(place => place.inUse).map(place => ({ value: place.id, title: place.name })),
]
const asked = CHECK_ASKED.map(value => ({ value, title: ASKED_WORDS[value] }))
async function keep(): Promise<void> {
  const body = {
    ...form,
    items: form.items.split('\n').map(line => line.trim()).filter(Boolean),
    goodForHours: Number(form.goodForHours),
  }
  const done = props.list
    ? await save(`/api/office/check-lists/${props.list.id}`, body, 'PUT')
    : await save('/api/office/check-lists', body)
  if (!done) return
  say(`${form.name} is kept.`)
  emit('saved')
}
</script>

<template>
  <form class="slip fields" @submit.prevent="keep">
    <VTextField v-model="form.name" label="Name" :error-messages="errorAt('name')" />
    <VSelect v-model="form.placeId" :items="places" label="Of" :error-messages="errorAt('placeId')" />
    <VSelect v-model="form.asked" :items="asked" label="Asked for" :error-messages="errorAt('asked')" />
    <VTextField
      v-model="form.goodForHours"
      label="Holds"
      suffix="h"
      inputmode="numeric"
      :error-messages="errorAt('goodForHours')"
    />
    <VTextarea
      v-model="form.items"
      class="full"
      label="What is looked at or cleaned, one a line"
      rows="4"
      :error-messages="errorAt('items')"
    />
    <VCheckbox v-if="list" v-model="form.inUse" label="In use" hide-details />
    <SaveProblem class="full" :message="message" />
    <div class="full"><VBtn type="submit" color="primary" :loading="saving">Keep the list</VBtn></div>
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
@media (--tablet) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
