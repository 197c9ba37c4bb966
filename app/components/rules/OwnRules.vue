<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { LEGAL_METHODS } from '#core/cure/cure-method'
import { BASES, COMPOUNDS, CUT_GROUPS, type RuleRow, type RuleSet } from '#core/rules/rule-set'
import { ownRulesInput } from '#shared/contracts/rules'
import DateField from '~/components/common/DateField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useDraft } from '~/composables/use-draft'
import { useSave } from '~/composables/use-save'
import { BASIS_WORDS, GROUP_WORDS, LEGAL_METHOD_WORDS } from './rule-words'

/** A rule set of the shop's own: begun from another, or changed. */
const props = defineProps<{ from: RuleSet; own: boolean }>()
const emit = defineEmits<{ saved: [ruleSetId: string]; close: [] }>()
const text = (value: number | null) => (value === null ? '' : String(value))
const asTyped = (row: RuleRow) => ({
  ...row,
  maxPpm: text(row.maxPpm),
  minPpm: text(row.minPpm),
  choice: row.choice ?? '',
})
const { draft, clear } = useDraft(`rules-${props.own ? props.from.id : 'new'}`, () => ({
  jurisdiction: props.own ? props.from.jurisdiction : `${props.from.jurisdiction}, our copy`,
  source: props.from.source,
  textDate: props.from.textDate,
  floorPpm: text(props.from.floorPpm),
  floorSource: props.from.floorSource,
  rows: props.from.rows.map(asTyped),
}))
const { save, saving, errorAt, message } = useSave<{ ruleSetId: string }>(ownRulesInput)
const options = <T extends string>(values: readonly T[], words: Record<T, string>) =>
  values.map(value => ({ value, title: words[value] }))
const CUTS = options(CUT_GROUPS, GROUP_WORDS)
const METHODS = options([...LEGAL_METHODS, 'any'] as const, LEGAL_METHOD_WORDS)
const COUNTS = options(BASES, BASIS_WORDS)
function add(): void {
  draft.value.rows.push({
    id: '',
    cutGroup: 'any',
    method: 'any',
    rind: 'any',
    compound: 'nitrite',
    basis: 'ingoing_nano2',
    maxPpm: '',
    minPpm: '',
    choice: '',
    note: '',
    source: draft.value.source,
  })
}
async function write(): Promise<void> {
  const { rows, ...head } = draft.value
  const done = await save('/api/office/own-rules', {
    ...head,
    ruleSetId: props.own ? props.from.id : null,
    floorPpm: head.floorPpm.trim() || null,
    rows: rows.map(({ id: _id, ...row }) => ({
      ...row,
      maxPpm: row.maxPpm.trim() || null,
      minPpm: row.minPpm.trim() || null,
      choice: row.choice.trim() || null,
    })),
  })
  if (!done) return
  clear()
  emit('saved', done.ruleSetId)
}
</script>

<template>
  <form class="slip stack" aria-label="Own rule set" @submit.prevent="write">
    <h3>{{ own ? `Change ${from.jurisdiction}` : 'A rule set of your own' }}</h3>
    <p class="caution">
      Your inspector and local code decide what stands here. Lots judged before keep the rules of their day.
    </p>
    <div class="head">
      <VTextField v-model="draft.jurisdiction" label="Name" :error-messages="errorAt('jurisdiction')" />
      <VTextField v-model="draft.source" label="Source text" :error-messages="errorAt('source')" />
      <DateField v-model="draft.textDate" label="Date of the text" :error="errorAt('textDate')" />
      <VTextField
        v-model="draft.floorPpm"
        label="Floor (optional)"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('floorPpm')"
      />
      <VTextField v-model="draft.floorSource" label="Where the floor stands" :error-messages="errorAt('floorSource')" />
    </div>
    <p v-if="errorAt('rows')" class="caution grave" role="alert">{{ errorAt('rows') }}</p>
    <fieldset v-for="(row, i) in draft.rows" :key="i" class="row-edit">
      <legend class="visually-hidden">Row {{ i + 1 }}</legend>
      <VSelect v-model="row.cutGroup" :items="CUTS" label="Cut" density="compact" />
      <VSelect v-model="row.method" :items="METHODS" label="Cure" density="compact" />
      <VSelect v-model="row.rind" :items="['any', 'on', 'off']" label="Rind" density="compact" />
      <VSelect v-model="row.compound" :items="[...COMPOUNDS]" label="Of" density="compact" />
      <VSelect
        v-model="row.basis"
        :items="COUNTS"
        label="Counts"
        density="compact"
        :error-messages="errorAt(`rows.${i}.basis`)"
      />
      <VTextField
        v-model="row.maxPpm"
        label="Most"
        suffix="ppm"
        density="compact"
        inputmode="decimal"
        :error-messages="errorAt(`rows.${i}.maxPpm`)"
      />
      <VTextField
        v-model="row.minPpm"
        label="Least"
        suffix="ppm"
        density="compact"
        inputmode="decimal"
        :error-messages="errorAt(`rows.${i}.minPpm`)"
      />
      <VTextField
        v-model="row.choice"
        label="Chosen as"
        density="compact"
        placeholder="always"
        persistent-placeholder
      />
      <VTextField
        v-model="row.source"
        label="Source"
        density="compact"
        class="wide"
        :error-messages="errorAt(`rows.${i}.source`)"
      />
      <VTextField v-model="row.note" label="Note" density="compact" class="wide" />
      <VBtn variant="text" :icon="mdiClose" :aria-label="`Leave row ${i + 1} out`" @click="draft.rows.splice(i, 1)" />
    </fieldset>
    <div><VBtn variant="outlined" @click="add">Add a row</VBtn></div>
    <SaveProblem :message="message" />
    <div class="row">
      <VBtn type="submit" color="primary" :loading="saving">Write the rule set</VBtn>
      <VBtn variant="text" @click="emit('close')">Put aside</VBtn>
    </div>
  </form>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.6rem;
}
.row-edit {
  border: 0;
  border-top: 1px solid var(--hair);
  padding: 0.8rem 0 0;
  margin: 0;
  display: grid;
  grid-template-columns: 1.4fr 0.8fr 0.7fr 0.9fr 1.7fr 0.9fr 0.9fr 1fr;
  gap: 0.5rem;
}
.wide {
  grid-column: span 3;
}
@media (--tablet) {
  .head,
  .row-edit {
    grid-template-columns: 1fr 1fr;
  }
  .wide {
    grid-column: 1 / -1;
  }
}
</style>
