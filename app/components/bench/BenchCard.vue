<script setup lang="ts">
import { computed } from 'vue'
import { isWet } from '#core/cure/cure-method'
import type { CardView } from '#shared/contracts/cards'
import type { BenchView } from '#shared/contracts/lots'
import { METHOD_WORDS, verdictWords } from '#shared/messages/verdict'
import CodeBars from '~/components/common/CodeBars.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import { readSides, sidesOf } from './read-draft'
import { useBench } from './use-bench'
import { weighLines } from './weigh-lines'

/** One page to carry to the bench: what to weigh, how to share it, boxes to tick, and the cautions that apply. */
const props = defineProps<{ card: CardView; draft: BenchDraft; view: BenchView }>()
const draft = computed({ get: () => props.draft, set: () => undefined })
const bench = useBench(draft, computed({ get: () => props.view, set: () => undefined }))
const { as, meat, grams, percent, moment, limit } = useNotation()
const made = computed(() => bench.made.value)
const lines = computed(() => weighLines(props.draft, bench))
const sides = computed(() => readSides(props.draft))
const division = computed(() => bench.mixScale.value?.readabilityG ?? 0.1)
const groups = computed(() => props.draft.seasonings.some(s => s.group !== 'all'))
const allergens = computed(() => [
  ...new Set(
    props.draft.seasonings.flatMap(s => bench.ingredients.value.find(lot => lot.code === s.lotCode)?.allergens ?? []),
  ),
])
const CLOSE_FROM = 16
const close = computed(() => props.draft.pieces.length >= CLOSE_FROM)
/** Long lists stand in two halves beside each other, so that a card stays one page. */
const halves = computed(() => {
  const all = bench.pieces.value.map((piece, i) => ({ piece, i }))
  const middle = Math.ceil(all.length / 2)
  return close.value ? [all.slice(0, middle), all.slice(middle)] : [all]
})
const cautions = computed(() =>
  [
    props.draft.method === 'salt_only'
      ? `Salt does not make its own nitrite: ${limit(4)} or colder all the way, no long warm smoke, cook before eating.`
      : 'Curing salt is poisonous: weigh it on the fine scale, never by eye. No. 1 is not no. 2.',
    props.draft.method === 'excess' ? 'Weigh back what is shaken off, and enter it: the ppm is an upper bound.' : '',
    props.draft.method === 'two_applications' ? 'Second application after the first draining.' : '',
    props.draft.purpose === 'dried' ? 'Eaten uncooked: process authority and trichinella control.' : '',
    allergens.value.length ? `Allergens for the label: ${allergens.value.join(', ')}.` : '',
    'What falls off goes back on or into the bag. No reactive metal pans. Fridge at once.',
  ].filter(Boolean),
)
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
          {{ draft.cut }}, rind {{ draft.rind }}, {{ draft.pieces.length }} pieces,
          <strong>{{ meat(bench.greenG.value) }}</strong> green weight;
          {{ METHOD_WORDS[draft.method].name.toLowerCase()
          }}<template v-if="draft.recipe">; {{ draft.recipe.code }} revision {{ draft.recipe.number }}</template>
        </p>
        <p v-if="bench.planned.value" class="verdict">{{ verdictWords(bench.planned.value, as, division) }}</p>
      </div>
      <CodeBars :code="card.code" />
    </header>
    <div class="cols">
      <section>
        <h2>Weigh</h2>
        <table class="ruled">
          <tbody>
            <tr v-if="made && isWet(draft.method)">
              <td class="box" aria-hidden="true">☐</td>
              <td>Water</td>
              <td class="num">
                <strong>{{ meat(made.waterG) }}</strong>
              </td>
              <td class="fill" />
            </tr>
            <tr v-for="line in lines" :key="line.key">
              <td class="box" aria-hidden="true">☐</td>
              <td>
                {{ line.name }} <span class="code small">{{ line.code }}</span>
              </td>
              <td class="num">
                <strong>{{ grams(line.massG, division) }}</strong>
              </td>
              <td class="fill" />
            </tr>
            <tr v-if="made">
              <td class="box" aria-hidden="true">☐</td>
              <td>Mix until even</td>
              <td class="num">{{ grams(made.mixG, division) }}</td>
              <td class="fill" />
            </tr>
          </tbody>
        </table>
        <p v-if="made" class="small">
          Salt {{ percent(made.totalSaltShare, 2) }} in all, sugar {{ percent(made.totalSugarShare, 2) }}. Meat on
          {{ bench.meatScale.value?.name }}, cure on {{ bench.mixScale.value?.name }}.
        </p>
      </section>
      <section>
        <h2>Cautions</h2>
        <ul class="cautions">
          <li v-for="line in cautions" :key="line">{{ line }}</li>
        </ul>
        <p class="small">
          Days: ready from {{ draft.readyFromDay ?? bench.span.value.readyFromDay }}, best by
          {{ draft.bestByDay ?? bench.span.value.bestByDay }}. {{ draft.note }}
        </p>
      </section>
    </div>
    <section v-if="!isWet(draft.method)">
      <h2>Rub, each piece</h2>
      <div :class="{ halves: close }">
        <table v-for="(half, k) in halves" :key="k" class="ruled pieces">
          <thead>
            <tr>
              <th aria-hidden="true" />
              <th scope="col">Piece</th>
              <th v-if="bench.bags.value.length" scope="col">Bag</th>
              <th v-if="groups" scope="col">Flavour</th>
              <th scope="col" class="num">Green weight</th>
              <th scope="col" class="num">Mix</th>
              <th scope="col" class="num">flesh</th>
              <th scope="col" class="num">{{ draft.rind === 'on' ? 'rind' : 'fat' }}</th>
              <th scope="col" class="num">edges</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ piece, i } in half" :key="i">
              <td class="box" aria-hidden="true">☐</td>
              <td>{{ i + 1 }}</td>
              <td v-if="bench.bags.value.length">{{ piece.bag ?? '–' }}</td>
              <td v-if="groups">
                {{ piece.group ?? 'A'
                }}<template v-if="bench.shares.value[i]?.ownG"> {{ grams(bench.shares.value[i]!.ownG) }}</template>
              </td>
              <td class="num">{{ piece.parsed ? meat(piece.parsed.netG) : piece.weight }}</td>
              <template v-if="bench.shares.value[i]">
                <td class="num">
                  <strong>{{ grams(bench.shares.value[i]!.mixG * bench.firstShare.value) }}</strong>
                </td>
                <td v-for="side in ['flesh', 'fat', 'edges'] as const" :key="side" class="num">
                  {{
                    sidesOf(bench.shares.value[i]!.mixG, sides)
                      ? grams(sidesOf(bench.shares.value[i]!.mixG * bench.firstShare.value, sides)![side], 1)
                      : ''
                  }}
                </td>
              </template>
              <td v-else colspan="4" />
            </tr>
          </tbody>
        </table>
      </div>
    </section>
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
.box {
  font-size: 1.25rem;
  line-height: 1;
  width: 1.8rem;
}
.fill {
  width: 6rem;
  border-bottom: 1px dotted var(--peat) !important;
}
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.6rem;
  align-items: start;
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
  .cols,
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .pieces {
    font-size: 0.86rem;
  }
}
@media print {
  .card {
    gap: 0.5rem;
    font-size: 10.5pt;
  }
  .card .small {
    font-size: 9pt;
  }
  .card .code {
    font-size: inherit;
  }
  h1 {
    font-size: 17pt;
  }
  h2 {
    font-size: 11.5pt;
  }
  .ruled td,
  .ruled th {
    padding: 2.5pt 4pt !important;
  }
  .close,
  .close .small {
    font-size: 8pt;
  }
  .close .ruled td,
  .close .ruled th {
    padding: 0.6pt 3pt !important;
  }
  .close .box {
    font-size: 8.5pt;
  }
}
</style>
