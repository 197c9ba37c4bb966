<script setup lang="ts">
import { ref } from 'vue'
import type { InstrumentView } from '#shared/contracts/instruments'
import { useSession } from '~/stores/session'
import InstrumentAdd from './InstrumentAdd.vue'
import InstrumentRow from './InstrumentRow.vue'

/** Scales, thermometers, hygrometers: how fine, when checked, what was found. */
defineProps<{ instruments: InstrumentView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const open = ref<number | null>(null)
const adding = ref(false)
function done(): void {
  open.value = null
  adding.value = false
  emit('saved')
}
</script>

<template>
  <section class="stack-tight wide" aria-labelledby="instruments-head">
    <h2 id="instruments-head">Scales, thermometers, hygrometers</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Instrument</th>
            <th scope="col">For</th>
            <th scope="col" class="num">Reads to</th>
            <th scope="col" class="num">Offset taken off</th>
            <th scope="col">Stands</th>
            <th scope="col">Next check</th>
            <th scope="col"><span class="visually-hidden">Check</span></th>
          </tr>
        </thead>
        <tbody>
          <InstrumentRow
            v-for="one in instruments"
            :key="one.id"
            :instrument="one"
            :open="open === one.id"
            @update:open="open = $event ? one.id : null"
            @saved="done"
          />
        </tbody>
      </table>
    </div>
    <template v-if="session.isOwner">
      <div>
        <VBtn variant="outlined" @click="adding = !adding">{{ adding ? 'Put aside' : 'Add an instrument' }}</VBtn>
      </div>
      <InstrumentAdd v-if="adding" @saved="done" />
    </template>
  </section>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
</style>
