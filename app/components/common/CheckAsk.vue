<script setup lang="ts">
import { computed } from 'vue'
import { isAskedFor, type CheckAsked } from '#core/places/check-state'
import type { CheckListsView } from '#shared/contracts/checks'
import { CHECK_WORDS } from '#shared/messages/checks'
import { useLoaded } from '~/api/use-loaded'
import CheckForm from './CheckForm.vue'
import LoadProblem from './LoadProblem.vue'
import StateMark from './StateMark.vue'

/** Lists that are asked for before a use and do not hold now; nothing when there is none. */
const props = defineProps<{ asked: CheckAsked; placeId: number | null }>()
const emit = defineEmits<{ checked: [] }>()
const { view, problem, load } = useLoaded<CheckListsView>('/api/check-lists')
const open = computed(() =>
  (view.value?.lists ?? []).filter(
    list => list.state !== 'good' && isAskedFor({ ...list, placeId: list.place?.id ?? null }, props),
  ),
)
async function checked(): Promise<void> {
  emit('checked')
  await load()
}
</script>

<template>
  <LoadProblem v-if="problem" :problem="problem" @again="load" />
  <section v-else-if="open.length" class="stack-tight" aria-label="To be looked at first">
    <div v-for="list in open" :key="list.id">
      <p class="head"><strong>{{ list.name }}</strong> <StateMark tone="watch">{{ CHECK_WORDS[list.state] }}</StateMark></p>
      <CheckForm :list="list" @saved="checked" />
    </div>
  </section>
</template>

<style scoped>
.head {
  margin: 0 0 0.2rem;
}
</style>
