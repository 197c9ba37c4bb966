<script setup lang="ts">
import { computed } from 'vue'
import type { EventView } from '#shared/contracts/events'
import { problemWords } from '~/api/client'
import { exactWords } from '~/words/date-words'
import { figuresOf } from '~/logic/record-figures'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

/** One record whole, as the book keeps it: what its sentence leaves out, for someone who asks. */
const props = defineProps<{ event: EventView }>()
const { as } = useNotation()
/** A very long one comes when it is opened. */
const { view: long, problem } = useLoaded<{ typed: unknown }>(() =>
  props.event.longBytes === undefined ? null : `/api/events/${props.event.id}/typed`,
)
const typed = computed(() => long.value?.typed ?? props.event.typed)
const parts = computed(() =>
  [
    { name: 'As typed', figures: figuresOf(typed.value) },
    { name: 'As computed', figures: figuresOf(props.event.computed) },
  ].filter(part => part.figures.length > 0),
)
</script>

<template>
  <div class="record stack-tight">
    <p>
      {{ exactWords(event.atMs, event.zone) }}. {{ event.who }}, on {{ event.station }}. Computed by version
      {{ event.arithmetic }} of the arithmetic.
    </p>
    <p v-if="problem" class="caution grave">{{ problemWords(problem, as) }}</p>
    <div v-for="part in parts" :key="part.name">
      <h3>{{ part.name }}</h3>
      <dl>
        <div v-for="(figure, i) in part.figures" :key="i">
          <dt>{{ figure.where }}</dt>
          <dd>{{ figure.what }}</dd>
        </div>
      </dl>
    </div>
    <p class="small">
      Hash of this record and of all before it: <span class="hash">{{ event.hash }}</span>
    </p>
  </div>
</template>

<style scoped>
.record {
  border-left: 5px solid var(--hair-strong);
  padding: 0.3rem 0 0.5rem 1rem;
}
.record p {
  max-width: none;
}
h3 {
  font-size: 0.92rem;
  margin: 0;
  border: 0;
  padding: 0;
}
dl {
  columns: 3 18rem;
  column-gap: 1.6rem;
  margin: 0.2rem 0 0;
  font-size: 0.86rem;
}
dl > div {
  display: flex;
  gap: 0.7rem;
  justify-content: space-between;
  break-inside: avoid;
  border-bottom: 1px dotted var(--hair-strong);
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  text-align: right;
  overflow-wrap: anywhere;
  font-variant-numeric: tabular-nums;
}
.hash {
  font-family: var(--mono);
  overflow-wrap: anywhere;
}
</style>
