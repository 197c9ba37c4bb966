<script setup lang="ts">
import { computed, ref } from 'vue'
import { isWet } from '#core/cure/cure-method'
import { DRAIN_SETTLED_MS } from '#core/rules/house'
import { ROUGH_WORDS } from '#shared/steps/drain'
import ChipStep from '../ChipStep.vue'
import InsteadWeigh from '../InsteadWeigh.vue'
import PickOne from '../PickOne.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

/** How much left: poured off, or leaked out of its bag. The tap that names the amount records it. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const how = props.row.ask === 'leak' ? 'leaked' : 'poured_off'
/** A draining after the cure: what was left in the bag. */
const after = props.row.ask === 'purge'
/** A draining of the first day. */
const early = computed(() => props.row.nowMs - props.row.lot.rubbedAtMs < DRAIN_SETTLED_MS)
/** What leaves decides how the lot cools: not of a brine, and not without nitrite. */
const counts = computed(() => !isWet(props.row.lot.method) && !props.row.lot.saltOnly)
const LABEL = { drain: 'How much was poured off?', leak: 'How much leaked out?', purge: 'How much was left in the bag?' }
const label = LABEL[props.row.ask as keyof typeof LABEL]

type Rough = keyof typeof ROUGH_WORDS
type Choice = Rough | 'ml' | 'weighed' | 'not_seen' | 'weigh' | 'say'
const CHOICES = computed((): { value: Choice; words: string }[] => [
  { value: 'one_spoon', words: '1 spoon' },
  { value: 'some_spoons', words: '2 to 3 spoons' },
  { value: 'many_spoons', words: '4 to 6 spoons' },
  { value: 'cup', words: 'A cup' },
  { value: 'more', words: 'More' },
  { value: 'ml', words: 'mL…' },
  { value: 'weighed', words: 'Weighed…' },
  { value: 'not_seen', words: 'Nobody saw how much' },
  // Rinsed, dried or heated meat weighs what shows nothing of it.
  ...(counts.value && !after ? [{ value: 'weigh' as const, words: 'Weigh the meat…' }] : []),
  { value: 'say', words: 'More to say…' },
])
const SALT = [
  { value: 'lies', words: 'Salt still lies there' },
  { value: 'went', words: 'Salt went with it' },
] as const
const BACK = [{ value: 'back', words: 'Kept, poured back' }] as const
const more = ref(false)
const salt = ref<(typeof SALT)[number]['value'] | null>(null)
const back = ref<(typeof BACK)[number]['value'] | null>(null)
/** What is typed: a weight of the liquid or of the meat, or mL; null: nothing. */
const typing = ref<'ml' | 'weighed' | 'meat' | null>(null)
const typed = ref('')

type Liquid = Extract<PressStep, { kind: 'drain' }>['liquid']
function tell(liquid: Liquid, words: string, and: PressStep[] = []): void {
  const step: PressStep = {
    kind: 'drain',
    how,
    liquid,
    back: back.value !== null,
    saltLies: salt.value === 'lies',
    tookSalt: salt.value === 'went',
  }
  emit('tell', [step, ...and], `${after ? 'left in the bag' : how === 'leaked' ? 'leaked' : 'drained'}, ${words}.`)
}

/** A weight with its unit, or mL. */
function tellTyped(): void {
  if (typing.value === 'ml') tell({ told: 'ml', ml: typed.value }, `${typed.value} mL`)
  else tell({ told: 'weighed', weight: typed.value }, typed.value)
}

function choose(choice: Choice) {
  if (choice === 'say') more.value = !more.value
  else if (choice === 'weigh') typing.value = 'meat'
  else if (choice === 'weighed' || choice === 'ml') typing.value = choice
  else if (choice === 'not_seen') tell(null, 'nobody saw how much')
  else tell({ told: 'rough', rough: choice }, ROUGH_WORDS[choice])
}
</script>

<template>
  <ChipStep
    :label="label"
    :choices="CHOICES"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  >
    <InsteadWeigh
      v-if="typing === 'meat'"
      :code="row.lot.code"
      :pieces="row.meant.map(piece => piece.id)"
      :how="how"
      :salt="salt"
      :at-ms="row.toldAtMs"
      :saving="saving"
      @tell="(step, words) => tell(null, words, [step])"
    />
    <form v-else-if="typing" class="weighed" @submit.prevent="tellTyped">
      <VTextField
        v-model="typed"
        :label="typing === 'ml' ? 'Liquid, mL' : 'Weight of the liquid'"
        :inputmode="typing === 'ml' ? 'decimal' : undefined"
        autofocus
        hide-details
        autocomplete="off"
      />
      <VBtn type="submit" color="primary" :loading="saving" :disabled="typed.trim() === ''">Save</VBtn>
    </form>
    <div v-if="more" class="rest">
      <PickOne v-model="salt" label="Salt" :choices="SALT" />
      <PickOne v-if="how === 'poured_off' && !after" v-model="back" label="Poured back" :choices="BACK" />
    </div>
    <p v-if="counts && typing !== 'meat'" class="rest small" :class="{ caution: early }">
      <template v-if="early">
        On the first day the liquid takes three times as much along. Keep it in the bag or tub, and pour off later.
      </template>
      <template v-else>Roughly is enough.</template>
      Not even roughly known, the lot cools by the stricter rule{{ after ? '' : ': then weigh the meat in place of it' }}.
    </p>
  </ChipStep>
</template>

<style scoped>
.weighed {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.4rem;
  align-items: center;
}
.rest {
  grid-column: 1 / -1;
  display: grid;
  gap: 0.4rem;
  margin: 0;
}
</style>
