<script setup lang="ts">
import { mdiAlert, mdiCheckBold, mdiClockOutline, mdiHandBackLeft, mdiMinusCircleOutline } from '@mdi/js'

/** A state in a word and a shape; colour comes third. */
const props = defineProps<{ tone: 'good' | 'watch' | 'act' | 'cold' | 'plain' | 'held' }>()
const ICONS = {
  good: mdiCheckBold,
  watch: mdiClockOutline,
  act: mdiAlert,
  cold: mdiMinusCircleOutline,
  plain: mdiMinusCircleOutline,
  held: mdiHandBackLeft,
}
</script>

<template>
  <span class="mark" :class="props.tone"><VIcon :icon="ICONS[props.tone]" size="15" aria-hidden="true" /><slot /></span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 0.35rem;
  padding: 0.12rem 0.5rem 0.12rem 0.4rem;
  font-size: 0.86rem;
  font-weight: 600;
  white-space: nowrap;
  color: var(--peat);
}
.good {
  background: var(--moss-wash);
}
.good .v-icon {
  color: var(--moss);
}
.watch {
  background: var(--straw-wash);
}
.watch .v-icon {
  color: var(--straw-ink);
}
.act,
.held {
  background: var(--ember-wash);
}
.act .v-icon,
.held .v-icon {
  color: var(--ember);
}
.cold {
  background: var(--brine-wash);
}
.cold .v-icon {
  color: var(--brine);
}
.plain {
  padding-left: 0;
  color: var(--soft);
}
</style>
