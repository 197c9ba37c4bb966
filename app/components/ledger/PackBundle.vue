<script setup lang="ts">
import type { PackLine, ThreadNodeView } from '#shared/contracts/thread'
import { problemWords } from '~/api/client'
import LotCode from '~/components/common/LotCode.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

/** A bundle of packs of one lot, opened to its packs when somebody asks. */
const props = defineProps<{ bundle: ThreadNodeView; to: string | null }>()
const { as, meat } = useNotation()
const [lot, party] = props.bundle.code.split(' ')
const of = new URLSearchParams({ lot: lot!, ...(party === 'unsent' ? {} : { party: party!.replace('party-', '') }) })
const { view: packs, problem, load } = useLoaded<PackLine[]>(`/api/thread/packs?${of}`, { whenAsked: true })

async function open(event: Event): Promise<void> {
  if ((event.target as HTMLDetailsElement).open && !packs.value) await load()
}
</script>

<template>
  <details @toggle="open">
    <summary>
      <span class="code">{{ lot }}</span> {{ bundle.packs }} packs, {{ meat(bundle.massG ?? 0) }},
      {{ to ?? 'not sent' }}
    </summary>
    <p v-if="problem" class="caution grave">{{ problemWords(problem, as) }}</p>
    <p v-else-if="packs" class="all"><LotCode v-for="pack in packs" :key="pack.code" :code="pack.code" /></p>
    <p v-else class="soft">Reading the book…</p>
  </details>
</template>

<style scoped>
.all {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.9rem;
  max-width: none;
  padding: 0.4rem 0 0.8rem;
}
summary {
  cursor: pointer;
  min-height: 32px;
}
</style>
