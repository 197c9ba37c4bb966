<script setup lang="ts">
import { sumOf } from '#core/lists/sum-of'
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import type { ThreadView } from '#shared/contracts/thread'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'
import PackBundle from './PackBundle.vue'
import { COLUMN_NAMES, layOut, type KnotNode } from './thread-layout'
import ThreadOutline from './ThreadOutline.vue'

/** The thread: one drawn line with branches from supplier to customer, the code asked for in the middle of it. */
const props = defineProps<{ thread: ThreadView }>()
const ROW_H = 74
const LEAST_W = 1240
const TOP = 34
/** Share of a column in which the thread runs straight. */
const UNDER_WORDS = 0.78
const { meat } = useNotation()
const box = ref<HTMLElement | null>(null)
const boxWidth = useWidth(box, 1200)
const drawing = computed(() => layOut(props.thread, Math.max(LEAST_W, boxWidth.value), ROW_H))
const columnW = computed(() => drawing.value.width / COLUMN_NAMES.length)
const path = (from: KnotNode, to: KnotNode) => {
  // Straight under the words, then over to the next knot.
  const endX = from.x + columnW.value * UNDER_WORDS
  const bend = (to.x - endX) / 2
  return `M${from.x} ${from.y + TOP} H${endX} C${endX + bend} ${from.y + TOP} ${to.x - bend} ${to.y + TOP} ${to.x} ${to.y + TOP}`
}
const isParty = (node: KnotNode) => node.kind === 'supplier' || node.kind === 'customer'
const linkOf = (node: KnotNode) =>
  node.kind === 'lot' ? `/lots/${node.code}` : node.kind === 'run' ? `/runs/${node.code}` : `/ledger?code=${node.code}`
const isOne = (node: KnotNode) => !isParty(node) && !node.code.includes(' ')
const below = (node: KnotNode) =>
  isOne(node)
    ? node.title
    : node.firstCode
      ? `${node.firstCode} to ${node.lastCode!.slice(2)}`
      : node.code.split(' ')[0]!
const words = (node: KnotNode) => `${below(node)}${node.massG === null ? '' : `, ${meat(node.massG)}`}`
const packs = computed(() => props.thread.nodes.filter(node => node.kind === 'pack'))
/** Whatever packs are told of: bundles, or lots in an outline. */
const counted = computed(() => props.thread.outline?.lots ?? packs.value)
const packCount = computed(() => sumOf<{ packs?: number | undefined }>(counted.value, one => one.packs ?? 0))
const packsG = computed(() => sumOf<{ massG?: number | null | undefined }>(counted.value, one => one.massG ?? 0))
const customers = computed(
  () => props.thread.outline?.customers ?? props.thread.nodes.filter(node => node.kind === 'customer'),
)
const NAMED = 4
const whose = computed(() =>
  customers.value.length === 0
    ? ', none sent'
    : customers.value.length > NAMED
      ? `, with ${customers.value.length} customers`
      : `, with ${customers.value.map(c => c.title).join(' and ')}`,
)
const bundles = computed(() => {
  const names = new Map(customers.value.map(node => [node.code, node.title]))
  return packs.value
    .filter(pack => pack.code.includes(' '))
    .map(pack => ({ pack, to: names.get(pack.code.split(' ')[1] ?? '') ?? null }))
})
</script>

<template>
  <section aria-labelledby="thread-head" class="stack-tight">
    <h2 id="thread-head">
      Thread of <span class="code">{{ thread.code }}</span>
    </h2>
    <p>{{ packCount }} packs, {{ meat(packsG) }}{{ whose }}.</p>
    <p v-if="thread.outline && thread.nodes[0]">{{ thread.nodes[0].title }}, {{ thread.nodes[0].detail }}.</p>
    <p v-if="thread.outline">It is in {{ thread.outline.lots.length }} lots. Open one, and its own thread is drawn.</p>
    <ThreadOutline v-if="thread.outline" :outline="thread.outline" />
    <div v-else ref="box" class="scroll-x" tabindex="0" role="group" aria-label="Thread drawing, scrolls sideways">
      <div class="drawing" :style="{ width: `${drawing.width}px`, height: `${drawing.height + TOP}px` }">
        <svg :width="drawing.width" :height="drawing.height + TOP" aria-hidden="true">
          <text v-for="(name, c) in COLUMN_NAMES" :key="name" :x="c * columnW + 4" y="16">{{ name }}</text>
          <path v-for="(link, i) in drawing.links" :key="i" :d="path(link.from, link.to)" />
          <circle
            v-for="node in drawing.nodes"
            :key="node.code"
            :cx="node.x"
            :cy="node.y + TOP"
            :r="node.code === thread.code ? 9 : 6"
            :class="{ asked: node.code === thread.code, held: node.held }"
          />
        </svg>
        <div
          v-for="node in drawing.nodes"
          :key="node.code"
          class="knot"
          :style="{ left: `${node.x + 15}px`, top: `${node.y + TOP}px`, width: `${columnW - 26}px` }"
        >
          <span class="over">
            <NuxtLink v-if="isOne(node)" :to="linkOf(node)" class="code">{{ node.code }}</NuxtLink>
            <strong v-else>{{ node.title }}</strong>
            <span v-if="node.held" class="small held">held</span>
          </span>
          <span v-if="!isParty(node)" class="below small soft" :title="words(node)">{{ words(node) }}</span>
        </div>
      </div>
    </div>
    <section v-if="bundles.length" class="no-print" aria-label="Packs by code">
      <PackBundle v-for="{ pack, to: customer } in bundles" :key="pack.code" :bundle="pack" :to="customer" />
    </section>
  </section>
</template>

<style scoped>
.drawing {
  position: relative;
}
svg {
  position: absolute;
  inset: 0;
}
text {
  font: 600 13.5px var(--sans);
  fill: var(--soft);
}
path {
  fill: none;
  stroke: #a98a52;
  stroke-width: 2.6;
}
circle {
  fill: #8a6a35;
  stroke: var(--bone);
  stroke-width: 2;
}
circle.asked {
  fill: var(--heather);
  stroke: var(--peat);
}
circle.held {
  fill: var(--ember);
}
.knot {
  position: absolute;
  line-height: 1.2;
  white-space: nowrap;
}
.over {
  position: absolute;
  bottom: 4px;
  left: 0;
}
.below {
  position: absolute;
  top: 5px;
  left: 0;
}
.over,
.below {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.held {
  margin-left: 0.35rem;
}
.held {
  color: var(--ember);
  font-weight: 700;
}
</style>
