<script setup lang="ts">
import { ref } from 'vue'
import { PLACE_WORDS, USE_WORDS } from '#shared/messages/places'
import type { InstrumentView } from '#shared/contracts/instruments'
import type { PlaceSetUp } from '#shared/contracts/places'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'
import PlaceForm from './PlaceForm.vue'

/** Wherever meat lies, hangs or is heated in this shop, and what it is read on. */
const props = defineProps<{ places: PlaceSetUp[]; instruments: InstrumentView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { temperature } = useNotation()
/** The place that is open; `new` is one to be added. */
const open = ref<number | 'new' | null>(null)
const nameOf = (id: number | null) => props.instruments.find(one => one.id === id)?.name
const readOn = (place: PlaceSetUp) =>
  [nameOf(place.thermometerId), nameOf(place.hygrometerId)].filter(Boolean).join(', ') || 'none named'
const room = (place: PlaceSetUp) =>
  [
    place.shelves && `${place.shelves} shelves`,
    place.hooks && `${place.hooks} hooks`,
    place.targetC !== null && `to be ${temperature(place.targetC)}`,
    place.targetRh !== null && `${place.targetRh} % RH`,
  ]
    .filter(Boolean)
    .join(', ')
function saved(): void {
  open.value = null
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="places-head">
    <h2 id="places-head">Places</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Place</th>
            <th scope="col">Kind</th>
            <th scope="col">What is done there</th>
            <th scope="col">Read on</th>
            <th scope="col">Room</th>
            <th v-if="session.isOwner" scope="col"><span class="visually-hidden">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="place in places" :key="place.id">
            <tr :class="{ soft: !place.inUse }">
              <td>
                <strong>{{ place.name }}</strong> <span class="code small soft">{{ place.code }}</span>
              </td>
              <td>{{ PLACE_WORDS[place.kind] }}{{ place.inUse ? '' : ', out of use' }}</td>
              <td>{{ place.uses.map(use => USE_WORDS[use]).join(', ') }}</td>
              <td>{{ readOn(place) }}</td>
              <td>{{ room(place) || '–' }}</td>
              <td v-if="session.isOwner" class="num">
                <VBtn
                  class="slim"
                  variant="outlined"
                  :aria-label="`Change ${place.name}`"
                  :aria-expanded="open === place.id"
                  @click="open = open === place.id ? null : place.id"
                >
                  Change
                </VBtn>
              </td>
            </tr>
            <tr v-if="open === place.id">
              <td colspan="6"><PlaceForm :place="place" :instruments="instruments" @saved="saved" /></td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <div v-if="session.isOwner">
      <VBtn variant="outlined" :aria-expanded="open === 'new'" @click="open = open === 'new' ? null : 'new'">
        Add a place
      </VBtn>
    </div>
    <PlaceForm v-if="open === 'new'" :place="null" :instruments="instruments" @saved="saved" />
  </section>
</template>

<style scoped>
section {
  grid-column: 1 / -1;
}
</style>
