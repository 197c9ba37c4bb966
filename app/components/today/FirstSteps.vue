<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { mdiCheck } from '@mdi/js'
import type { FloorView } from '#shared/contracts/cold-room'
import { useSession } from '~/stores/session'

/** A new shop is led through what it needs, in order, until the first lot is packed. Each step ticks itself. */
const props = defineProps<{ view: FloorView }>()
const session = useSession()
const steps = computed(() => {
  const { instruments, shop, lots, first } = props.view
  return [
    {
      done: instruments.some(one => one.kind === 'scale' && one.state === 'checked'),
      to: '/office/instruments',
      title: 'Look at your scales and places',
      words:
        'Two scales, two thermometers and a cold room are there to begin with. Check a scale with a weight you trust.',
    },
    {
      done: shop.confirmed !== null,
      to: '/office/rules',
      title: 'Confirm the rules',
      words: session.isOwner
        ? 'Compare the set with your authority\'s text. Until then nothing goes out.'
        : 'The owner compares them with the authority\'s text. Until then nothing goes out.',
    },
    {
      done: first.salt,
      to: '/store?receive=ingredient',
      title: 'Receive curing salt',
      words: 'With its certificate: without one nobody knows the ppm. Then salt, and sugar if you use it.',
    },
    {
      done: first.meat,
      to: '/store?receive=meat',
      title: 'Receive meat',
      words: 'Weight, temperature and the supplier\'s lot, as it comes in at the door.',
    },
    {
      done: first.lot,
      to: '/bench',
      title: 'Rub the first lot',
      words: 'Trimmed green weight first; the Bench says what to weigh.',
    },
    {
      done: lots.some(lot => lot.turns.length > 0),
      to: '/cold-room',
      title: 'Turn it',
      words: 'One tap in the Cold room, when the day comes.',
    },
  ]
})
const next = computed(() => steps.value.findIndex(step => !step.done))
</script>

<template>
  <section class="first stack-tight" aria-labelledby="first-head">
    <h2 id="first-head">The first lot, step by step</h2>
    <ol>
      <li v-for="(step, i) in steps" :key="step.title" :class="{ done: step.done, next: i === next }">
        <NuxtLink :to="step.to" :aria-current="i === next ? 'step' : undefined">
          <span class="tick" aria-hidden="true"><VIcon v-if="step.done" :icon="mdiCheck" size="22" />
            <template v-else>{{ i + 1 }}</template></span>
          <span><strong>{{ step.title }}</strong><span class="visually-hidden">{{ step.done ? ', done' : '' }}</span>
            <span class="words soft small">{{ step.words }}</span></span>
        </NuxtLink>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 1.6rem;
}
li {
  display: grid;
}
a {
  display: grid;
  grid-template-columns: 2.6rem minmax(0, 1fr);
  gap: 0.7rem;
  align-items: start;
  min-height: 76px;
  padding: 0.6rem 0.2rem;
  text-decoration: none;
  border-bottom: 1px solid var(--hair);
}
a:hover {
  background: var(--sheet);
}
.tick {
  width: 38px;
  height: 38px;
  border: 2px solid var(--hair-strong);
  border-radius: 50%;
  display: grid;
  place-items: center;
  font: 700 1.05rem/1 var(--slab);
  font-variant-numeric: lining-nums;
}
.words {
  display: block;
}
.done .tick {
  background: var(--moss);
  border-color: var(--moss);
  color: var(--bone);
}
.done strong {
  text-decoration: line-through;
  text-decoration-thickness: 1.5px;
}
.next .tick {
  border-color: var(--heather);
  border-width: 3px;
}
@media (--tablet) {
  ol {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
