<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'
import ConcernLine from './ConcernLine.vue'
import { notRight, type ShopAsSeen } from './not-right'

/** What is not right: a kind of thing on one line with its count, opened by a tap. What holds meat stands first. */
const props = defineProps<ShopAsSeen>()
const session = useSession()
const { as } = useNotation()
const kinds = computed(() => notRight(props, as.value, session.zone))
const open = ref<string[]>([])
const MOST_NAMED = 3
/** More kinds than these fold: Today stays one screen. */
const MOST_KINDS = 7
const all = ref(false)
const shown = computed(() =>
  kinds.value.map(({ mark, tone, concerns }) => ({
    mark,
    tone,
    concerns,
    isOpen: open.value.includes(mark),
    // Which they are, as far as a line holds them.
    named: concerns.slice(0, MOST_NAMED).map(one => one.code ?? one.name ?? one.words).join(', '),
    more: Math.max(0, concerns.length - MOST_NAMED),
  })),
)
function toggle(mark: string): void {
  open.value = open.value.includes(mark) ? open.value.filter(one => one !== mark) : [...open.value, mark]
}
</script>

<template>
  <section aria-labelledby="wrong">
    <h2 id="wrong">Not right</h2>
    <p v-if="!shown.length" class="empty">Nothing held, nothing warm, no turn missed.</p>
    <ul>
      <template v-for="kind in all ? shown : shown.slice(0, MOST_KINDS)" :key="kind.mark">
        <li v-if="kind.concerns.length === 1">
          <ConcernLine :concern="kind.concerns[0]!" />
        </li>
        <li v-else class="kind">
          <button type="button" :aria-expanded="kind.isOpen" @click="toggle(kind.mark)">
            <StateMark :tone="kind.tone">{{ kind.mark }}</StateMark>
            <strong>{{ kind.concerns.length }}</strong>
            <span class="named">{{ kind.named }}{{ kind.more ? ` and ${kind.more} more` : '' }}</span>
            <VIcon :icon="kind.isOpen ? mdiChevronUp : mdiChevronDown" size="20" aria-hidden="true" />
          </button>
          <ul v-if="kind.isOpen">
            <li v-for="(one, i) in kind.concerns" :key="i"><ConcernLine :concern="one" /></li>
          </ul>
        </li>
      </template>
    </ul>
    <VBtn v-if="shown.length > MOST_KINDS" variant="text" :aria-expanded="all" @click="all = !all">
      {{ all ? 'Fewer' : `${shown.length - MOST_KINDS} more kinds` }}
    </VBtn>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 0.28rem 0;
  border-bottom: 1px solid var(--hair);
}
.kind {
  padding: 0;
}
.kind ul li {
  padding-left: 0.9rem;
}
.kind ul li:last-child {
  border-bottom: 0;
}
button {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr) 1.4rem;
  align-items: center;
  gap: 0.6rem;
  width: 100%;
  min-height: 38px;
  padding: 0.2rem 0;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  cursor: pointer;
}
button:hover {
  background: var(--sheet);
}
.named {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (--tablet) {
  button {
    min-height: 56px;
  }
}
</style>
