<script setup lang="ts">
import { computed } from 'vue'
import { TAKE_WHYS, type TakeWhy } from '#core/life/kinds/take'
import { upperFirst } from '#core/lists/upper-first'
import { piecesWords } from '#shared/messages/pieces'
import { TAKE_WORDS } from '#shared/steps/take'
import ChipStep from '../ChipStep.vue'
import type { AskEvents, AskProps } from '../ask-row'

/** Pieces that are gone and were never packed: why? */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const which = computed(() => upperFirst(piecesWords(props.row.meant.map(piece => piece.label))))
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
