<script setup lang="ts">
import { computed } from 'vue'
import { isWet } from '#core/cure/cure-method'
import type { CardView } from '#shared/contracts/cards'
import type { BenchView } from '#shared/contracts/lots'
import { METHOD_WORDS, verdictWords } from '#shared/messages/verdict'
import CodeBars from '~/components/common/CodeBars.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import CardPieces from './CardPieces.vue'
import CardWeigh from './CardWeigh.vue'
import { cardLine, cautionsOf } from './card-words'
import { useBench } from './use-bench'

/** One page to carry to the bench: what to weigh, how to share it, boxes to tick, and the cautions that apply. */
const props = defineProps<{ card: CardView; draft: BenchDraft; view: BenchView }>()
const draft = computed({ get: () => props.draft, set: () => undefined })
const bench = useBench(draft, computed({ get: () => props.view, set: () => undefined }))
const { as, meat, moment } = useNotation()
const division = computed(() => bench.mixScale.value?.readabilityG ?? 0.1)
const line = computed(() => cardLine(props.draft))
const allergens = computed(() => {
  const lots = props.draft.seasonings.map(s => bench.ingredients.value.find(lot => lot.code === s.lotCode))
  return [...new Set(lots.flatMap(lot => lot?.allergens ?? []))]
})
const cautions = computed(() => cautionsOf(props.draft, allergens.value, as.value))
const CLOSE_FROM = 16
const close = computed(() => props.draft.pieces.length >= CLOSE_FROM)
</script>

<template>
  <article class="card" :class="{ close }">
    <header>
      <div>
        <p class="soft">
          Bench card, laid {{ moment(card.atMs) }} by {{ card.by
          }}<template v-if="card.lot">
            ; rubbed as <span class="code">{{ card.lot }}</span>
          </template>
        </p>
        <h1>{{ draft.recipe ? draft.recipe.name : METHOD_WORDS[draft.method].name }}</h1>
        <p>
          {{ line.before }} <strong>{{ meat(bench.greenG.value) }}</strong>{{ line.after }}
        </p>
        <p v-if="bench.planned.value" class="verdict">{{ verdictWords(bench.planned.value, as, division) }}</p>
      </div>
      <CodeBars :code="card.code" />
    </header>
    <div class="cols">
      <CardWeigh :draft="draft" :bench="bench" :readability-g="division" />
      <section>
        <h2>Cautions</h2>
        <ul class="cautions">
          <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
        </ul>
        <p class="small">
          Days: ready from {{ draft.readyFromDay ?? bench.span.value.readyFromDay }}, best by
          {{ draft.bestByDay ?? bench.span.value.bestByDay }}. {{ draft.note }}
        </p>
      </section>
    </div>
    <CardPieces v-if="!isWet(draft.method)" :draft="draft" :bench="bench" :close="close" />
    <p class="small soft">
      Rubbed by ____________________ on ____________ at ________. An aid: your inspector and local code decide.
    </p>
  </article>
</template>

<style scoped>
.card {
  max-width: 58rem;
  display: grid;
  gap: 1rem;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 1rem;
}
h1 {
  font-size: 1.9rem;
}
.verdict {
  font-weight: 600;
  margin-top: 0.3rem;
}
.cols {
  display: grid;
  grid-template-columns: 1.2fr 1fr;
  gap: 2rem;
}
.card:deep(.box) {
  font-size: 1.25rem;
  line-height: 1;
  width: 1.8rem;
}
.cautions {
  margin: 0;
  padding-left: 1.1rem;
  display: grid;
  gap: 0.3rem;
  font-weight: 500;
}
@media (--phone) {
  header,
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .card {
    gap: 0.5rem;
    font-size: 10.5pt;
  }
  .card:deep(.small) {
    font-size: 9pt;
  }
  .card:deep(.code) {
    font-size: inherit;
  }
  h1 {
    font-size: 17pt;
  }
  .card:deep(h2) {
    font-size: 11.5pt;
  }
  .card:deep(.ruled td),
  .card:deep(.ruled th) {
    padding: 2.5pt 4pt !important;
  }
  .close,
  .close:deep(.small) {
    font-size: 8pt;
  }
  .close:deep(.ruled td),
  .close:deep(.ruled th) {
    padding: 0.6pt 3pt !important;
  }
  .close:deep(.box) {
    font-size: 8.5pt;
  }
}
</style>
