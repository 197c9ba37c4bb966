<script setup lang="ts">
import { computed, ref } from 'vue'
import { ARRIVAL_CHECKS, type MeatView } from '#shared/contracts/store'
import HoldList from '~/components/common/HoldList.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'
import CutForm from './CutForm.vue'
import PieceTree from './PieceTree.vue'

/** One delivery's meat opened: how it came, and the tree of pieces it was cut into. */
const props = defineProps<{ lot: MeatView }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const { meat, temperature, offset } = useNotation()
const leftG = computed(() => Math.max(0, props.lot.weightG - props.lot.usedG))
/** What is under the knife: a piece's id, 0 for meat straight from the delivery. */
const cutting = ref<number | null>(null)
function cut(): void {
  cutting.value = null
  emit('changed')
}
</script>

<template>
  <div class="detail stack">
    <HoldList :holds="lot.holds" what="meat" @decided="emit('changed')" />
    <p class="facts">
      <span v-if="lot.delivery">Delivery <span class="code">{{ lot.delivery }}</span>{{ lot.document ? `, ${lot.document}` : '' }}</span>
      <span>weighed “{{ lot.weightTyped }}” on {{ lot.scale?.name ?? 'a scale nobody named' }}
        <InstrumentNote :mark="lot.scale" /></span>
      <span>{{ temperature(lot.temperatureC) }} by {{ lot.thermometer?.name ?? 'a thermometer nobody named'
      }}<template v-if="lot.offsetC">
        (read {{ temperature(lot.temperatureC + lot.offsetC) }}, offset {{ offset(lot.offsetC) }})</template></span>
      <span v-if="lot.checks">{{ ARRIVAL_CHECKS.map(check => `${check} ${lot.checks![check]}`).join(', ') }}</span>
      <span v-if="lot.note">“{{ lot.note }}”</span>
      <a v-if="lot.photo" :href="`/api/files/${lot.photo.id}`" target="_blank" rel="noopener">
        <img :src="`/api/files/${lot.photo.id}`" :alt="`Photo of delivery ${lot.delivery}`" /></a>
    </p>
    <PieceTree v-if="lot.pieces.length" :lot="lot" @cut="cutting = $event" />
    <div v-if="session.mayWrite && lot.state === 'in' && leftG > 50 && cutting === null">
      <VBtn variant="outlined" @click="cutting = 0">Cut from the delivery, {{ meat(leftG) }} left</VBtn>
    </div>
    <CutForm
      v-if="cutting !== null"
      :key="cutting"
      :lot="lot"
      :piece-id="cutting || null"
      :left-g="leftG"
      @saved="cut"
      @aside="cutting = null"
    />
  </div>
</template>

<style scoped>
.detail {
  padding: 0.4rem 0 1rem 1.2rem;
  border-left: 5px solid var(--hair-strong);
  padding-left: 1.2rem;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.4rem;
  max-width: none;
  align-items: center;
}
img {
  height: 76px;
  display: block;
  border: 1px solid var(--hair-strong);
}
</style>
