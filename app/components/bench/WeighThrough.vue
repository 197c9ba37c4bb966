<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import type { Grams } from '#core/units/quantities'
import { computed, nextTick, ref, watch } from 'vue'
import { mdiCheckBold } from '@mdi/js'
import { useDisplay } from 'vuetify'
import { parseWeight } from '#core/typed/parse-weight'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { WeighLine } from './weigh-lines'

/** One ingredient at a time, the grams as large as the screen allows; Enter goes to the next. */
const props = defineProps<{ lines: WeighLine[]; readabilityG: Grams }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ weighed: [key: string, typed: string] }>()
const { grams } = useNotation()
const { mdAndDown } = useDisplay()
const at = ref(0)
const line = computed(() => props.lines[at.value])
/** How far the weighed figure is from the planned one, in words; empty until there is one. */
const apart = computed(() => {
  const read = line.value && parseWeight(line.value.weighed, INGREDIENT_RANGE)
  if (!line.value || !read?.ok) return ''
  const offG = read.value.netG - line.value.massG
  if (Math.abs(offG) < props.readabilityG / 2) return 'as planned'
  return `${grams(Math.abs(offG), props.readabilityG)} ${offG > 0 ? 'more' : 'less'} than planned`
})
const box = ref<HTMLElement | null>(null)
async function focus(): Promise<void> {
  await nextTick()
  box.value?.querySelector<HTMLInputElement>('input')?.focus()
}
function go(to: number): void {
  at.value = to
  void focus()
}
function next(): void {
  if (at.value + 1 < props.lines.length) go(at.value + 1)
  else {
    open.value = false
  }
}
watch(open, (isOpen) => {
  if (!isOpen) return
  const first = props.lines.findIndex(one => one.weighed.trim() === '')
  go(Math.max(0, first))
})
</script>

<template>
  <VDialog v-model="open" max-width="680" :fullscreen="mdAndDown" aria-label="Weigh one by one">
    <div v-if="line" ref="box" class="through paper">
      <p class="soft">
        {{ at + 1 }} of {{ lines.length
        }}<template v-if="line.code">
          , from <span class="code">{{ line.code }}</span>
        </template>
      </p>
      <h2 class="bare">{{ line.name }}</h2>
      <p class="big">{{ grams(line.massG, readabilityG) }}</p>
      <p v-if="line.poison" class="caution">
        <strong>Curing salt is poisonous.</strong> On the fine scale, never by eye. No. 1 is not no. 2.
      </p>
      <WeightField
        class="entry-large"
        digits
        :model-value="line.weighed"
        label="Really weighed, grams"
        fine
        :range="INGREDIENT_RANGE"
        @update:model-value="emit('weighed', line.key, $event)"
        @enter="next"
      />
      <p class="apart" role="status">{{ apart }}</p>
      <div class="row spread">
        <VBtn variant="outlined" :disabled="at === 0" @click="go(at - 1)">Back</VBtn>
        <VBtn variant="text" @click="open = false">Close</VBtn>
        <VBtn color="primary" @click="next">{{ at + 1 < lines.length ? 'Next' : 'All weighed' }}</VBtn>
      </div>
      <ol class="all" aria-label="All that is weighed">
        <li v-for="(one, i) in lines" :key="one.key">
          <button type="button" :aria-current="i === at ? 'step' : undefined" @click="go(i)">
            <VIcon
              :icon="mdiCheckBold"
              size="18"
              aria-hidden="true"
              :class="{ open: one.weighed.trim() === '' }"
            /><span>{{ one.name }}</span><span class="num">{{
              one.weighed.trim() === '' ? `to weigh, ${grams(one.massG, readabilityG)}` : `weighed “${one.weighed}”`
            }}</span>
          </button>
        </li>
      </ol>
    </div>
  </VDialog>
</template>

<style scoped>
.through {
  background: var(--bone);
  color: var(--peat);
  padding: 1.6rem;
  display: grid;
  gap: 0.9rem;
  align-content: start;
  height: 100%;
}
.bare {
  border: 0;
  padding: 0;
}
.big {
  font: 700 clamp(3.4rem, 14vw, 5.6rem)/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
.entry-large :deep(input) {
  font: 700 2.4rem/1.2 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  min-height: 4.4rem;
}
.apart {
  min-height: 1.5em;
  font-weight: 600;
}
.all {
  list-style: none;
  margin: 0.6rem 0 0;
  padding: 0;
  border-top: 1px solid var(--hair-strong);
}
.all button {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 0.7rem;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 0;
  border: 0;
  border-bottom: 1px solid var(--hair);
  background: none;
  font: inherit;
  text-align: left;
  color: inherit;
  cursor: pointer;
}
.all button[aria-current] {
  font-weight: 700;
  box-shadow: inset 4px 0 0 var(--heather);
  padding-left: 0.8rem;
}
.all .v-icon {
  color: var(--moss);
}
.all .v-icon.open {
  visibility: hidden;
}
</style>
