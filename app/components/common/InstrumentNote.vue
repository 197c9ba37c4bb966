<script setup lang="ts">
import type { Celsius } from '#core/units/quantities'
import type { InstrumentMark } from '#shared/contracts/instruments'
import { STATE_WORDS } from '#shared/messages/instruments'
import StateMark from './StateMark.vue'
import { useNotation } from '~/composables/use-notation'

/**
 * Says so when a figure was read on an instrument that was not in order, and when a thermometer's offset was taken off.
 */
defineProps<{ mark: InstrumentMark | null; offsetC?: Celsius; readC?: Celsius | null }>()
const { offset, temperature } = useNotation()
</script>

<template>
  <span v-if="offsetC && readC !== undefined && readC !== null" class="small soft off">
    read {{ temperature(readC + offsetC) }}, thermometer {{ offset(offsetC) }}
  </span>
  <StateMark
    v-if="mark && mark.state !== 'checked'"
    :tone="mark.state === 'failed' ? 'act' : 'watch'"
    :title="mark.name"
  >
    {{ mark.name }}: {{ STATE_WORDS[mark.state] }}
  </StateMark>
</template>

<style scoped>
.off {
  white-space: nowrap;
}
@media (--phone) {
  .off {
    white-space: normal;
  }
}
</style>
