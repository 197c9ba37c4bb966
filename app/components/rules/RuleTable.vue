<script setup lang="ts">
import { asNaNO2, floorOf } from '#core/rules/limits'
import type { RuleRow, RuleSet } from '#core/rules/rule-set'
import { useNotation } from '~/composables/use-notation'
import { BASIS_WORDS, GROUP_WORDS, LEGAL_METHOD_WORDS } from './rule-words'

const props = defineProps<{ rules: RuleSet }>()
const { ppm, dateInYear } = useNotation()
/** The least of a row. Only nitrite going in has one, and only where it leaves room. */
const least = (row: RuleRow) => {
  const onRow = floorOf(props.rules, row).ppm / asNaNO2(row, 1)
  return row.compound === 'nitrite' && row.basis !== 'residual' && onRow <= row.maxPpm! ? ppm(onRow) : '–'
}
const most = (row: RuleRow) => (row.maxPpm === null ? 'see text' : row.maxPpm === 0 ? 'none' : ppm(row.maxPpm))
const floor = () => {
  const { ppm: least, source } = floorOf(props.rules, { basis: 'ingoing_nano2', minPpm: null, source: '' })
  return `${props.rules.floorPpm === null ? 'The text has no floor; taken' : 'Floor, where a row has none of its own'}: `
    + `${ppm(least)}, ${source}.`
}
</script>

<template>
  <div class="scroll-x" tabindex="0" role="group" aria-label="Rows of the law, scroll sideways">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Cut</th>
          <th scope="col">Cure</th>
          <th scope="col">Rind</th>
          <th scope="col">Counts</th>
          <th scope="col" class="num">Least</th>
          <th scope="col" class="num">Most</th>
          <th scope="col">Source and note</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rules.rows" :key="row.id">
          <td class="whole">{{ GROUP_WORDS[row.cutGroup] }}</td>
          <td>{{ LEGAL_METHOD_WORDS[row.method] }}</td>
          <td>{{ row.rind }}</td>
          <td class="whole">{{ row.compound }} {{ BASIS_WORDS[row.basis] }}</td>
          <td class="num" :class="{ soft: row.minPpm === null }">{{ least(row) }}</td>
          <td class="num">
            <strong>{{ most(row) }}</strong>
          </td>
          <td class="small">
            {{ row.source }}<template v-if="row.choice">; may be chosen as “{{ row.choice }}”</template>
            <div v-if="row.note" class="soft">{{ row.note }}</div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p class="small soft">{{ floor() }} Text of {{ dateInYear(rules.textDate) }}: {{ rules.source }}.</p>
</template>

<style scoped>
@media not (--tablet) {
  .whole {
    white-space: nowrap;
  }
}
</style>
