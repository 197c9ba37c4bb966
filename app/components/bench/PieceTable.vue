<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiClose } from '@mdi/js'
import { useNotation } from '~/composables/use-notation'
import { nextFlavour, type BenchDraft, type PieceDraft } from './bench-draft'
import { readSides, sidesOf } from './read-draft'
import type { Bench } from './use-bench'

const props = defineProps<{ bench: Bench }>()
const draft = defineModel<BenchDraft>({ required: true })
const { meat, grams, ppm, percent } = useNotation()
const inBags = ref(draft.value.pieces.some(piece => piece.bag))
const grouped = computed(() => draft.value.seasonings.some(s => s.group !== 'all'))
const shares = computed(() => props.bench.shares.value)
const sides = computed(() => readSides(draft.value))
const scoopsOf = (i: number) => props.bench.scoops.value[i]
/** Salt of the lightest and the heaviest piece from equal scoops, as shares of each. */
const saltSpan = computed(() => {
  const made = props.bench.made.value
  const masses = props.bench.good.value.map(piece => piece.netG)
  if (!made || masses.length < 2) return null
  const scoopG = (made.totalSaltShare * made.greenWeightG) / masses.length
  return { low: scoopG / Math.max(...masses), high: scoopG / Math.min(...masses), planned: made.totalSaltShare }
})
const uneven = computed(() => draft.value.sharing === 'equal_scoops' && props.bench.scoops.value.length > 0)
const saltSpread = computed(() => {
  const salts = shares.value.map(share => share.totalSaltShare)
  return salts.length ? Math.max(...salts) - Math.min(...salts) : 0
})
const NOTICEABLE = 0.002
function toggleBags(): void {
  inBags.value = !inBags.value
  if (!inBags.value) for (const piece of draft.value.pieces) piece.bag = null
}
const setBag = (piece: PieceDraft, typed: string) => {
  piece.bag = Number(typed) >= 1 ? Math.floor(Number(typed)) : null
}
</script>

<template>
  <div class="stack-tight">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col" class="num">Green weight</th>
          <th scope="col" class="num">Its share of the mix</th>
          <th><span class="visually-hidden">Take off</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(piece, i) in bench.pieces.value" :key="i">
          <td>
            <strong>{{ i + 1 }}</strong>
            <div v-if="piece.meatPieceId" class="small soft">cut</div>
            <VTextField
              v-if="inBags"
              :model-value="piece.bag ?? ''"
              :aria-label="`Bag of piece ${i + 1}`"
              placeholder="bag"
              density="compact"
              hide-details
              inputmode="numeric"
              class="bag"
              @update:model-value="setBag(draft.pieces[i]!, $event)"
            />
            <VBtn
              v-if="grouped"
              variant="outlined"
              class="mark"
              :aria-label="`Flavour of piece ${i + 1}: ${piece.group ?? 'A'}. Press for the next`"
              @click="draft.pieces[i]!.group = nextFlavour(piece, draft.seasonings)"
            >
              {{ piece.group ?? 'A' }}
            </VBtn>
          </td>
          <td class="num">
            {{ piece.parsed ? meat(piece.parsed.netG) : '?' }}
            <div class="small soft">{{ piece.weight }}</div>
          </td>
          <td class="num share">
            <template v-if="uneven && scoopsOf(i)">
              <strong
                :class="{
                  over: scoopsOf(i)!.highPpm > (bench.limits.value?.maxPpm ?? Infinity),
                  under: scoopsOf(i)!.ppm < (bench.limits.value?.floorPpm ?? 0),
                }"
              >{{ ppm(scoopsOf(i)!.ppm)
              }}<template v-if="scoopsOf(i)!.highPpm > (bench.limits.value?.maxPpm ?? Infinity)">, over</template><template v-else-if="scoopsOf(i)!.ppm < (bench.limits.value?.floorPpm ?? 0)">, under</template></strong>
              <div class="small soft">one of {{ bench.good.value.length }} equal scoops</div>
            </template>
            <template v-else-if="shares[i]">
              <strong>{{ grams(shares[i]!.mixG) }}</strong>
              <div class="small soft">
                <template v-if="shares[i]!.agentG > 0">
                  {{ grams(shares[i]!.agentG, 0.01) }}
                  {{ bench.fromAgentOnly.value ? 'of it' : 'curing salt' }}
                </template><template v-if="!bench.fromAgentOnly.value">
                  {{ shares[i]!.agentG > 0 ? ', ' : '' }}{{ grams(shares[i]!.saltG) }} salt,
                  {{ grams(shares[i]!.sugarG) }} sugar
                </template><template v-if="shares[i]!.ownG > 0">
                  ; beside it {{ grams(shares[i]!.ownG) }} of its own flavouring
                </template>
              </div>
              <div v-if="sidesOf(shares[i]!.mixG, sides)" class="small soft">
                flesh {{ grams(sidesOf(shares[i]!.mixG, sides)!.flesh, 1) }}, {{ draft.rind === 'on' ? 'rind' : 'fat' }}
                {{ grams(sidesOf(shares[i]!.mixG, sides)!.fat, 1) }}, edges
                {{ grams(sidesOf(shares[i]!.mixG, sides)!.edges, 1) }}
              </div>
            </template>
            <strong v-else>–</strong>
          </td>
          <td class="num">
            <VBtn
              variant="text"
              density="comfortable"
              :icon="mdiClose"
              :aria-label="`Take piece ${i + 1} off`"
              @click="draft.pieces.splice(i, 1)"
            />
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr class="pieces-end">
          <td>{{ bench.pieces.value.length }}</td>
          <td class="num">
            <strong>{{ meat(bench.greenG.value) }}</strong>
          </td>
          <td class="num">{{ bench.made.value ? grams(bench.made.value.mixG) : '' }}</td>
          <td />
        </tr>
      </tfoot>
    </table>
    <p v-if="saltSpread > NOTICEABLE" class="small soft">
      Flavourings make the pieces differ in salt: {{ percent(Math.min(...shares.map(s => s.totalSaltShare)), 2) }} to
      {{ percent(Math.max(...shares.map(s => s.totalSaltShare)), 2) }}.
    </p>
    <div class="row">
      <VBtnToggle
        v-if="bench.scoops.value.length > 1"
        v-model="draft.sharing"
        mandatory
        variant="outlined"
        aria-label="How the mix is shared"
      >
        <VBtn value="by_weight">By weight</VBtn><VBtn value="equal_scoops">Equal scoops</VBtn>
      </VBtnToggle>
      <VBtn variant="text" @click="toggleBags">{{ inBags ? 'No bags' : 'In bags' }}</VBtn>
    </div>
    <p v-if="uneven" class="caution">
      This is what each piece would get from equal scoops: the light ones more curing salt
      <strong>and more salt</strong>, the heavy ones less<template v-if="saltSpan">
        ({{ percent(saltSpan.low, 2) }} to {{ percent(saltSpan.high, 2) }} salt, where the plan is
        {{ percent(saltSpan.planned, 2) }})
      </template>. Share by weight; the verdict below is for that.
    </p>
    <ul v-if="inBags && bench.bags.value.length" class="bags">
      <li v-for="bag in bench.bags.value" :key="bag.number">
        Bag {{ bag.number }}: {{ bag.pieces.length === 1 ? 'piece' : 'pieces' }} {{ bag.pieces.join(', ') }},
        <strong>{{ grams(bag.mixG) }}</strong> of mix
      </li>
    </ul>
    <details>
      <summary>How much on which side</summary>
      <div class="sides">
        <VTextField v-model="draft.sides.flesh" label="Flesh" suffix="%" density="compact" inputmode="decimal" />
        <VTextField
          v-model="draft.sides.fat"
          :label="draft.rind === 'on' ? 'Rind' : 'Fat'"
          suffix="%"
          density="compact"
          inputmode="decimal"
        />
        <VTextField v-model="draft.sides.edges" label="Edges" suffix="%" density="compact" inputmode="decimal" />
      </div>
    </details>
  </div>
</template>

<style scoped>
td .v-btn {
  margin: -10px -8px -10px 0;
}
td .mark {
  margin: 2px 0;
  min-width: 56px;
  padding: 0;
}
.share {
  white-space: normal;
  max-width: 12rem;
}
.bag {
  width: 4.5rem;
}
.over,
.under {
  color: var(--ember);
}
.bags {
  margin: 0;
  padding-left: 1.1rem;
}
summary {
  cursor: pointer;
  padding: 0.5rem 0;
  font-weight: 600;
}
.sides {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.5rem;
  padding-top: 0.4rem;
}
</style>
