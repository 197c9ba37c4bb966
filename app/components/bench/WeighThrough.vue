<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useDisplay } from 'vuetify'
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { WeighLine } from './weigh-lines'

/** One ingredient at a time, the grams as large as the screen allows; Enter goes to the next. */
const props = defineProps<{ lines: WeighLine[], readabilityG: number }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ weighed: [key: string, typed: string] }>()
const { grams } = useNotation()
const { smAndDown } = useDisplay()
const at = ref(0)
const line = computed(() => props.lines[at.value])
const box = ref<HTMLElement | null>(null)
async function focus(): Promise<void> {
  await nextTick()
  box.value?.querySelector<HTMLInputElement>('input')?.focus()
}
function next(): void {
  if (at.value + 1 < props.lines.length) {
    at.value++
    void focus()
  }
  else { open.value = false }
}
watch(open, (isOpen) => {
  if (!isOpen) return
  const first = props.lines.findIndex(one => one.weighed.trim() === '')
  at.value = Math.max(0, first)
  void focus()
})
</script>

<template>
  <VDialog v-model="open" max-width="680" :fullscreen="smAndDown" aria-label="Weigh one by one">
    <div v-if="line" ref="box" class="through paper">
      <p class="soft">{{ at + 1 }} of {{ lines.length }}<template v-if="line.code">, from <span class="code">{{ line.code }}</span></template></p>
      <h2 class="bare">{{ line.name }}</h2>
      <p class="big">{{ grams(line.massG, readabilityG) }}</p>
      <p v-if="line.poison" class="caution"><strong>Curing salt is poisonous.</strong> On the fine scale, never by eye. No. 1 is not no. 2.</p>
      <WeightField :model-value="line.weighed" label="Really weighed, grams" fine :range="INGREDIENT_RANGE" @update:model-value="emit('weighed', line.key, $event)" @enter="next" />
      <div class="row spread">
        <VBtn variant="outlined" class="floor" :disabled="at === 0" @click="at--; focus()">Back</VBtn>
        <VBtn variant="text" class="floor" @click="open = false">Close</VBtn>
        <VBtn color="primary" class="floor" @click="next">{{ at + 1 < lines.length ? 'Next' : 'All weighed' }}</VBtn>
      </div>
    </div>
  </VDialog>
</template>

<style scoped>
.through { background: var(--bone); color: var(--peat); padding: 1.6rem; display: grid; gap: .9rem; align-content: start; height: 100%; }
.bare { border: 0; padding: 0; }
.big { font: 700 clamp(3.4rem, 14vw, 5.6rem)/1 var(--slab); font-variant-numeric: lining-nums tabular-nums; }
</style>
