<script setup lang="ts">
import { TAKE_WHYS, type TakeWhy } from '#core/life/kinds/take'
import { upperFirst } from '#core/lists/upper-first'
import { TAKE_WORDS } from '#shared/messages/steps'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from '~/logic/press'

/** Pieces that are gone and were never packed: why? */
defineProps<{ which: string; saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const WHY = TAKE_WHYS.map(value => ({ value, words: upperFirst(TAKE_WORDS[value]) }))
const take = (why: TakeWhy) => emit('tell', [{ kind: 'take', why }], `taken away, ${TAKE_WORDS[why]}.`)
</script>

<template>
  <div>
    <ChipStep :label="`${which} taken away: why?`" :choices="WHY" :saving="saving" @choose="take" @close="emit('close')">
      <p class="caution">It is a piece no more. What is sold whole goes over the Slicing table, as a pack: else nobody can call it back.</p>
    </ChipStep>
  </div>
</template>
