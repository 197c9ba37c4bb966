<script setup lang="ts">
import type { Celsius } from '#core/units/quantities'
import { SALT_POINT_RH } from '#core/instruments/check-instrument'
import { HYGROMETER_RIGHT_RH, HYGROMETER_USABLE_RH, THERMOMETER_RIGHT_C, THERMOMETER_USABLE_C } from '#core/rules/house'
import { computed, reactive, ref } from 'vue'
import { instrumentCheckInput, instrumentChangeInput, type CheckMethod, type InstrumentView } from '#shared/contracts/instruments'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'
import { offsetFigure } from './instrument-words'

/** A check of one instrument: what it should read, what it reads. */
const props = defineProps<{ instrument: InstrumentView }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { as } = useNotation()
const offset = (value: number) => offsetFigure(props.instrument, value, as.value)
const recorded = useRecorded()
const isScale = props.instrument.kind === 'scale'
const isHygrometer = props.instrument.kind === 'hygrometer'
const FIRST_METHOD = { scale: 'check_weight', thermometer: 'ice_point', hygrometer: 'salt_point' } as const
const unit = computed(() => (isScale ? undefined : isHygrometer ? '% RH' : `°${as.value.temperature}`))
/** Ice and wet salt are what they are. */
const isFixed = computed(() => form.method === 'ice_point' || form.method === 'salt_point')
const form = reactive({
  method: FIRST_METHOD[props.instrument.kind] as CheckMethod,
  reference: '',
  read: '',
  note: '',
})
const { save, saving, errorAt, message } = useSave<{ passed: boolean; offsetC: Celsius }>(instrumentCheckInput)
const change = useSave(instrumentChangeInput)
const everyDays = ref(String(props.instrument.everyDays))
const body = computed(() => {
  const value = (typed: string) => (isScale || isHygrometer ? typed : { typed, unit: as.value.temperature })
  return {
    method: form.method,
    read: value(form.read),
    note: form.note || null,
    ...(isFixed.value ? {} : { reference: value(form.reference) }),
  }
})
async function record(): Promise<void> {
  const done = await save(`/api/instruments/${props.instrument.id}/checks`, body.value)
  if (!done) return
  const words = !done.passed
    ? 'NOT passed: take it out of use.'
    : done.offsetC
      ? `passed; from now on ${offset(done.offsetC)} is taken off every reading.`
      : 'passed.'
  recorded(`${props.instrument.name}: ${words}`, done.eventId, async () => emit('saved'))
  emit('saved')
}
async function keep(inUse: boolean): Promise<void> {
  if (
    await change.save(
      `/api/office/instruments/${props.instrument.id}`,
      { name: props.instrument.name, everyDays: Number(everyDays.value), inUse },
      'PUT',
    )
  )
    emit('saved')
}
</script>

<template>
  <div class="slip stack-tight">
    <form v-if="session.mayWrite" class="fields" @submit.prevent="record">
      <VBtnToggle
        v-if="!isScale"
        v-model="form.method"
        mandatory
        variant="outlined"
        class="full"
        aria-label="Checked against"
      >
        <template v-if="isHygrometer">
          <VBtn value="salt_point">Wet salt</VBtn><VBtn value="reference_rh">Reference hygrometer</VBtn>
        </template>
        <template v-else>
          <VBtn value="ice_point">Ice water</VBtn><VBtn value="reference">Reference thermometer</VBtn>
        </template>
      </VBtnToggle>
      <VTextField
        v-if="!isFixed"
        v-model="form.reference"
        :label="isScale ? 'Check weight' : 'Reference reads'"
        :suffix="unit"
        autocomplete="off"
        :error-messages="errorAt('reference')"
      />
      <VTextField
        v-model="form.read"
        label="It reads"
        :suffix="unit"
        autocomplete="off"
        :error-messages="errorAt('read')"
      />
      <VTextField v-model="form.note" label="Note" maxlength="500" />
      <VBtn type="submit" color="primary" :loading="saving">Record the check</VBtn>
      <p class="full small soft">
        <template v-if="isScale">
          Put the check weight on the empty, level scale. It may be off by one division up to 500 divisions, two up to
          2,000, three above (OIML R 76, class III, in service).
        </template>
        <template v-else-if="form.method === 'ice_point'">
          Crushed ice and a little water, stirred, the probe in the middle for two minutes. Within
          {{ offset(THERMOMETER_RIGHT_C).replace('+', '') }} it is right; up to
          {{ offset(THERMOMETER_USABLE_C).replace('+', '') }} its offset is taken off every reading; beyond that it is
          not used.
        </template>
        <template v-else-if="form.method === 'salt_point'">
          Table salt, just wet, in a closed bag with the hygrometer for eight hours at room temperature: it shows
          {{ SALT_POINT_RH }} %. Within {{ HYGROMETER_RIGHT_RH }} points it is right; up to {{ HYGROMETER_USABLE_RH }} its
          offset is taken off every reading; beyond that it is not used.
        </template>
        <template v-else-if="form.method === 'reference_rh'">Both for an hour side by side in the place itself.</template>
        <template v-else>Both in the same stirred water, near the temperature you measure at.</template>
      </p>
      <SaveProblem class="full" :message="message" />
    </form>
    <div v-if="session.isOwner" class="row">
      <VTextField
        v-model="everyDays"
        class="days"
        label="Check every"
        suffix="days"
        inputmode="numeric"
        :error-messages="change.errorAt('everyDays')"
      />
      <VBtn variant="outlined" @click="keep(instrument.inUse)">Keep</VBtn>
      <VBtn variant="outlined" @click="keep(!instrument.inUse)">
        {{
          instrument.inUse ? 'Take out of use' : 'Take into use'
        }}
      </VBtn>
      <SaveProblem :message="change.message.value" />
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
  justify-items: stretch;
}
.full {
  grid-column: 1 / -1;
  justify-self: start;
}
.days {
  max-width: 11rem;
}
@media (--narrow) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
