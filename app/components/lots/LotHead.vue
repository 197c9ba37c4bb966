<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import type { LotView } from '#shared/contracts/lots'
import { methodWords } from '#shared/messages/verdict'
import StateMark from '~/components/common/StateMark.vue'
import CodeBars from '~/components/common/CodeBars.vue'
import { lotDay } from '~/logic/lot-twine'
import { useNotation } from '~/composables/use-notation'
import { lotStage } from '~/logic/lot-stage'

const props = defineProps<{ lot: LotView; nowMs: Milliseconds }>()
const { meat, moment, limit } = useNotation()
const stage = computed(() => lotStage(props.lot))
const day = computed(() => lotDay(props.lot, props.nowMs))
</script>

<template>
  <header class="head">
    <div>
      <p class="soft">Lot</p>
      <h1 class="code">{{ lot.code }}</h1>
      <p class="what">
        {{ lot.cut }}<span v-if="lot.cut === 'belly'">, rind {{ lot.rind }}</span>, {{ lot.pieces.length }} pieces,
        {{ meat(lot.greenG) }} green weight
      </p>
      <p class="soft">
        Rubbed {{ moment(lot.rubbedAtMs) }} by {{ lot.rubbedBy }}; {{ lot.zone.replace('_', ' ') }} clock
      </p>
      <p>
        {{ upperFirst(methodWords(lot.method, lot.saltOnly)) }}<template v-if="lot.purpose === 'dried'">, hung to dry</template>
        <template v-if="lot.recipe">
          {{ `; ${lot.recipe.name}, ` }}<span class="code">{{ lot.recipe.code }}</span> revision
          {{ lot.recipe.number }}
        </template>
      </p>
      <p v-if="lot.allergens.length"><strong>Allergens:</strong> {{ lot.allergens.join(', ') }}</p>
      <p v-if="lot.note">{{ lot.note }}</p>
    </div>
    <div class="state">
      <StateMark :tone="stage.tone">{{ stage.words }}{{ lot.cureEndedAtMs === null ? `, day ${day}` : '' }}</StateMark>
      <StateMark v-if="lot.secondDue" tone="watch">second application to come</StateMark>
      <StateMark v-if="lot.saltOnly" tone="cold">salt only: {{ limit(4) }} or colder, cook before eating</StateMark>
    </div>
    <CodeBars :code="lot.code" />
    <div class="row no-print acts">
      <slot /><VBtn variant="outlined" :to="`/ledger?code=${lot.code}`">Thread</VBtn>
    </div>
  </header>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 1rem 2rem;
  align-items: start;
}
h1 {
  font-size: 2.6rem;
  font-family: var(--mono);
}
.what {
  font-size: 1.12rem;
}
.state {
  display: grid;
  gap: 0.4rem;
  justify-items: start;
}
@media (--tablet) {
  .head {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
