<script setup lang="ts">
import type { RuleSet } from '#core/rules/rule-set'
import { useNotation } from '~/composables/use-notation'
import { BASIS_WORDS, GROUP_WORDS, LEGAL_METHOD_WORDS } from './rule-words'

defineProps<{ rules: RuleSet }>()
const { ppm } = useNotation()
</script>

<template>
  <div class="scroll-x">
    <table class="ruled">
      <thead><tr><th scope="col">Cut</th><th scope="col">Cure</th><th scope="col">Rind</th><th scope="col">Counts</th><th scope="col" class="num">Least</th><th scope="col" class="num">Most</th><th scope="col">Source and note</th></tr></thead>
      <tbody>
        <tr v-for="row in rules.rows" :key="row.id">
          <td>{{ GROUP_WORDS[row.cutGroup] }}</td><td>{{ LEGAL_METHOD_WORDS[row.method] }}</td><td>{{ row.rind }}</td><td>{{ row.compound }} {{ BASIS_WORDS[row.basis] }}</td>
          <td class="num">{{ row.minPpm === null ? '–' : ppm(row.minPpm) }}</td><td class="num"><strong>{{ row.maxPpm === null ? 'see text' : row.maxPpm === 0 ? 'none' : ppm(row.maxPpm) }}</strong></td>
          <td class="small">{{ row.source }}<template v-if="row.choice">; may be chosen as “{{ row.choice }}”</template><div v-if="row.note" class="soft">{{ row.note }}</div></td>
        </tr>
      </tbody>
    </table>
  </div>
  <p class="small soft">{{ rules.floorPpm === null ? 'The text has no floor; 100 ppm is taken, the least for cooling as a cured product.' : `Floor ${ppm(rules.floorPpm)}: ${rules.floorSource}.` }} Text of {{ rules.textDate }}: {{ rules.source }}.</p>
</template>
