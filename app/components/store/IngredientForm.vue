<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import type { Fraction } from '#core/units/quantities'
import { computed } from 'vue'
import { AGENT_TYPES, agentType, type AgentKind } from '#core/agents/agent-kinds'
import { parseAgentShare } from '#core/agents/parse-agent-share'
import { ALLERGENS, type Allergen } from '#shared/contracts/allergens'
import { ingredientInput } from '#shared/contracts/store'
import type { FileView } from '#shared/contracts/files'
import { AGENT_WORDS } from '#shared/messages/agents'
import DateField from '~/components/common/DateField.vue'
import FileField from '~/components/common/FileField.vue'
import PartyField from '~/components/common/PartyField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'

const emit = defineEmits<{ saved: [] }>()
const recorded = useRecorded()
const { percent } = useNotation()
const KINDS = [
  { value: 'curing_salt', title: 'Curing salt' },
  { value: 'salt', title: 'Salt' },
  { value: 'sugar', title: 'Sugar' },
  { value: 'spice', title: 'Seasoning' },
]
const AGENTS = AGENT_TYPES.map(({ kind }) => ({ value: kind, title: AGENT_WORDS[kind].name }))
const COMPOUNDS = [
  { value: 'NaNO2', title: 'sodium nitrite' },
  { value: 'KNO2', title: 'potassium nitrite' },
  { value: 'NO2', title: 'nitrite ion' },
]
const { draft, clear } = useDraft('ingredient', () => ({
  kind: 'curing_salt',
  name: 'Curing salt no. 1',
  supplier: '',
  supplierLot: '',
  amount: '',
  bestBefore: '',
  agentKind: 'no_1' as Exclude<AgentKind, 'mix'>,
  iodised: false,
  composition: { saltPercent: '0', sugarPercent: '0', waterPercent: '0', allergens: [] as Allergen[] },
  certificate: {
    number: '',
    nitritePercent: '6.25',
    nitriteAs: 'NaNO2',
    tolerancePercent: '0.25',
    nitratePercent: '0',
    nitrateAs: 'NaNO3',
    saltPercent: '',
    sugarPercent: '0',
  },
  paper: null as FileView | null,
  syrup: false,
}))
const { save, saving, errorAt, message } = useSave<{ code: string }>(ingredientInput)

const understood = computed(() => {
  const share = parseAgentShare(draft.value.certificate.nitritePercent, { min: 0, max: 100 })
  return share.ok ? `= ${percent(share.value, 2)}` : ''
})
/** What the label of such an agent usually says; the certificate of this lot overrides it. */
function chooseAgent(kind: Exclude<AgentKind, 'mix'>): void {
  const { usual } = agentType(kind)
  const text = (share: Fraction) => String(Math.round(share * 1e6) / 1e4)
  draft.value.agentKind = kind
  draft.value.name = AGENT_WORDS[kind].name
  draft.value.certificate = {
    ...draft.value.certificate,
    nitritePercent: text(usual.nitriteFraction),
    nitriteAs: usual.nitriteAs,
    tolerancePercent: text(usual.labelTolerance),
    nitratePercent: text(usual.nitrateFraction),
    nitrateAs: usual.nitrateAs ?? 'NaNO3',
    saltPercent: text(usual.saltFraction),
    sugarPercent: text(usual.sugarFraction ?? 0),
  }
}
async function receive(): Promise<void> {
  const { bestBefore, certificate, paper, composition, syrup: _syrup, ...rest } = draft.value
  const made = await save('/api/ingredients', {
    ...rest,
    bestBefore: bestBefore || null,
    composition:
      rest.kind === 'spice'
        ? composition
        : rest.kind === 'sugar' && draft.value.syrup
          ? { ...composition, saltPercent: '0', allergens: [] }
          : null,
    certificate:
      rest.kind === 'curing_salt'
        ? { ...certificate, saltPercent: certificate.saltPercent.trim() || null, fileId: paper?.id ?? null }
        : null,
  })
  if (!made) return
  clear()
  recorded(`${made.code} is on the shelf.`, made.eventId, async () => emit('saved'))
  emit('saved')
}
</script>

<template>
  <form class="slip stack" aria-labelledby="dry-form" @submit.prevent="receive">
    <h2 id="dry-form">Receive an ingredient</h2>
    <VBtnToggle v-model="draft.kind" mandatory variant="outlined" aria-label="Kind">
      <VBtn v-for="kind in KINDS" :key="kind.value" :value="kind.value">
        {{
          kind.title
        }}
      </VBtn>
    </VBtnToggle>
    <div class="slip-fields">
      <VTextField v-model="draft.name" label="Name on the label" :error-messages="errorAt('name')" />
      <PartyField v-model="draft.supplier" kind="supplier" label="Supplier" :error-messages="errorAt('supplier')" />
      <VTextField
        v-model="draft.supplierLot"
        label="Their lot"
        autocomplete="off"
        :error-messages="errorAt('supplierLot')"
      />
      <WeightField v-model="draft.amount" label="Amount" :range="INGREDIENT_RANGE" :error="errorAt('amount')" />
      <DateField v-model="draft.bestBefore" label="Best before" :error="errorAt('bestBefore')" />
    </div>
    <template v-if="draft.kind === 'curing_salt'">
      <VSelect
        :model-value="draft.agentKind"
        :items="AGENTS"
        label="Which curing agent"
        @update:model-value="chooseAgent"
      />
      <p class="small soft">{{ AGENT_WORDS[draft.agentKind].use }}</p>
      <p class="caution">From the certificate of this lot, not from memory. No certificate, no ppm.</p>
      <div class="slip-fields">
        <VTextField
          v-model="draft.certificate.number"
          label="Certificate"
          :error-messages="errorAt('certificate.number')"
        />
        <VTextField
          v-model="draft.certificate.nitritePercent"
          label="Nitrite"
          suffix="%"
          :hint="understood"
          persistent-hint
          inputmode="decimal"
          :error-messages="errorAt('certificate.nitritePercent')"
        />
        <VSelect v-model="draft.certificate.nitriteAs" :items="COMPOUNDS" label="given as" />
        <VTextField
          v-model="draft.certificate.tolerancePercent"
          label="Tolerance, plus or minus"
          suffix="%"
          inputmode="decimal"
          :error-messages="errorAt('certificate.tolerancePercent')"
        />
        <VTextField
          v-model="draft.certificate.nitratePercent"
          label="Nitrate"
          suffix="%"
          inputmode="decimal"
          :error-messages="errorAt('certificate.nitratePercent')"
        />
        <VSelect
          v-model="draft.certificate.nitrateAs"
          :items="[
            { value: 'NaNO3', title: 'sodium nitrate' },
            { value: 'KNO3', title: 'potassium nitrate' },
          ]"
          label="given as"
        />
        <VTextField
          v-model="draft.certificate.saltPercent"
          label="Salt (empty: the rest)"
          suffix="%"
          inputmode="decimal"
          :error-messages="errorAt('certificate.saltPercent')"
        />
        <VTextField
          v-model="draft.certificate.sugarPercent"
          label="Sugar"
          suffix="%"
          inputmode="decimal"
          :error-messages="errorAt('certificate.sugarPercent')"
        />
      </div>
      <FileField v-model="draft.paper" label="The certificate, as a photo or PDF" />
    </template>
    <VCheckbox
      v-if="draft.kind === 'salt'"
      v-model="draft.iodised"
      label="It is iodised (it will be refused on the Bench: flavour and colour)"
      hide-details
    />
    <template v-if="draft.kind === 'sugar'">
      <VCheckbox v-model="draft.syrup" label="It is a syrup: count its real sugar, not its weight" hide-details />
      <template v-if="draft.syrup">
        <p class="small soft">
          From its label. Maple syrup is about 67 % sugar, honey 82 %, molasses 55 to 75 %; the rest is mostly water.
        </p>
        <div class="slip-fields">
          <VTextField
            v-model="draft.composition.sugarPercent"
            label="Sugar in it"
            suffix="%"
            inputmode="decimal"
            :error-messages="errorAt('composition.sugarPercent')"
          />
          <VTextField
            v-model="draft.composition.waterPercent"
            label="Water in it"
            suffix="%"
            inputmode="decimal"
            :error-messages="errorAt('composition.waterPercent') ?? errorAt('composition')"
          />
        </div>
      </template>
    </template>
    <template v-if="draft.kind === 'spice'">
      <p class="small soft">What it brings besides flavour, from its label: the Bench counts it.</p>
      <p v-if="errorAt('composition')" class="caution grave" role="alert">{{ errorAt('composition') }}</p>
      <div class="slip-fields">
        <VTextField v-model="draft.composition.saltPercent" label="Salt in it" suffix="%" inputmode="decimal" />
        <VTextField v-model="draft.composition.sugarPercent" label="Sugar in it" suffix="%" inputmode="decimal" />
        <VTextField v-model="draft.composition.waterPercent" label="Water in it" suffix="%" inputmode="decimal" />
        <VSelect v-model="draft.composition.allergens" :items="[...ALLERGENS]" label="Allergens" multiple chips />
      </div>
    </template>
    <SaveProblem :message="message" />
    <div><VBtn type="submit" color="primary" :loading="saving">Put on the shelf</VBtn></div>
  </form>
</template>
