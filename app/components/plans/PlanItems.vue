<script setup lang="ts">
import { CHANGES_RANGE, SESSIONS_RANGE } from '#core/rules/ranges'
import { computed } from 'vue'
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js'
import { PLAN_ITEM_KINDS, type HourSpan, type PlanItem, type PlanItemKind } from '#core/plan/plan'
import { itemWords } from '#shared/messages/plans'
import NumberField from '~/components/common/NumberField.vue'
import { useNotation } from '~/composables/use-notation'
import { ITEM_TITLES, movedItem, NEW_ITEMS, WAYS } from './plan-draft'

/** What comes after the cure, in order: each with its ways and hours, moved by keys as well as by finger. */
const items = defineModel<readonly PlanItem[]>({ required: true })
const { as } = useNotation()
const kinds = PLAN_ITEM_KINDS.map(value => ({ value, title: ITEM_TITLES[value] }))
const put = (i: number, change: object) =>
  (items.value = items.value.map((item, n) => (n === i ? ({ ...item, ...change } as PlanItem) : item)))
const drop = (i: number) => (items.value = items.value.filter((_, n) => n !== i))
const move = (i: number, by: -1 | 1) => (items.value = movedItem(items.value, i, by))
/** Adds an item before slicing, where there is slicing: nothing but the freezer comes after it. */
function add(kind: PlanItemKind): void {
  const at = items.value.findIndex(item => item.kind === 'slice' || item.kind === 'freeze')
  const where = kind === 'rinse' ? 0 : at < 0 || kind === 'slice' || kind === 'freeze' ? items.value.length : at
  items.value = items.value.toSpliced(where, 0, structuredClone(NEW_ITEMS[kind]))
}
const hoursOf = (item: PlanItem): HourSpan | null => ('hours' in item ? item.hours : null)
const wayOf = (item: PlanItem): string | null => ('how' in item ? item.how : 'what' in item ? item.what : null)
const putWay = (i: number, way: string) => put(i, items.value[i]!.kind === 'cut' ? { what: way } : { how: way })
const putHours = (i: number, which: 'from' | 'to', value: number | null) => {
  const hours = hoursOf(items.value[i]!) ?? { from: 1, to: 2 }
  if (value !== null) put(i, { hours: { ...hours, [which]: value } })
}
const lines = computed(() => items.value.map(item => itemWords(item, as.value)))
</script>

<template>
  <div>
    <ol aria-label="After the cure">
      <li v-for="(item, i) in items" :key="`${i} ${item.kind}`">
        <span class="what">{{ ITEM_TITLES[item.kind] }}</span>
        <div class="figures" role="group" :aria-label="`${i + 1}, ${ITEM_TITLES[item.kind]}`">
          <VSelect
            v-if="WAYS[item.kind]"
            :model-value="wayOf(item)"
            :items="[...WAYS[item.kind]!]"
            :label="`How: ${ITEM_TITLES[item.kind].toLowerCase()}`"
            hide-details
            @update:model-value="putWay(i, $event!)"
          />
          <template v-if="hoursOf(item)">
            <NumberField
              label="From"
              suffix="h"
              :model-value="hoursOf(item)!.from"
              @update:model-value="putHours(i, 'from', $event)"
            />
            <NumberField
              label="To"
              suffix="h"
              :model-value="hoursOf(item)!.to"
              @update:model-value="putHours(i, 'to', $event)"
            />
          </template>
          <NumberField
            v-if="item.kind === 'heat'"
            label="Sessions"
            :min="1"
            :max="SESSIONS_RANGE.max"
            :model-value="item.sessions"
            @update:model-value="put(i, { sessions: Math.round($event ?? 1) })"
          />
          <NumberField
            v-if="item.kind === 'rinse'"
            label="Times"
            :min="1"
            :max="CHANGES_RANGE.max"
            :model-value="item.times"
            @update:model-value="put(i, { times: Math.round($event ?? 1) })"
          />
          <template v-if="item.kind === 'soak'">
            <NumberField
              label="Changes"
              :max="CHANGES_RANGE.max"
              :model-value="item.changes"
              @update:model-value="put(i, { changes: Math.round($event ?? 0) })"
            />
            <NumberField
              label="Water a kg"
              optional
              suffix="L"
              :model-value="item.litresPerKg"
              @update:model-value="put(i, { litresPerKg: $event || null })"
            />
          </template>
          <template v-if="item.kind === 'hang'">
            <NumberField
              label="Loss from"
              suffix="%"
              :max="100"
              :model-value="100 * item.lossFrom"
              @update:model-value="put(i, { lossFrom: ($event ?? 0) / 100 })"
            />
            <NumberField
              label="To"
              suffix="%"
              :max="100"
              :model-value="100 * item.lossTo"
              @update:model-value="put(i, { lossTo: ($event ?? 0) / 100 })"
            />
          </template>
          <VCheckbox
            v-if="item.kind === 'dry'"
            :model-value="item.untilTacky"
            label="till tacky"
            hide-details
            @update:model-value="put(i, { untilTacky: $event === true })"
          />
        </div>
        <div class="order">
          <VBtn
            variant="text"
            :icon="mdiArrowUp"
            :aria-label="`${lines[i]}: earlier`"
            :disabled="i === 0"
            @click="move(i, -1)"
          />
          <VBtn
            variant="text"
            :icon="mdiArrowDown"
            :aria-label="`${lines[i]}: later`"
            :disabled="i === items.length - 1"
            @click="move(i, 1)"
          />
          <VBtn variant="text" :icon="mdiClose" :aria-label="`${lines[i]}: leave out`" @click="drop(i)" />
        </div>
      </li>
    </ol>
    <VSelect
      :model-value="null"
      :items="kinds"
      label="Add to the plan"
      hide-details
      class="add"
      @update:model-value="$event && add($event)"
    />
  </div>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr) auto;
  gap: 0.6rem;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 0.3rem 0;
}
.what {
  font-weight: 600;
}
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
  gap: 0.4rem;
}
.order {
  white-space: nowrap;
}
.add {
  max-width: 16rem;
  margin-top: 0.5rem;
}
@media (--phone) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .figures {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
