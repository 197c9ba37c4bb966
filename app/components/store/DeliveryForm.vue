<script setup lang="ts">
import { computed } from 'vue'
import { mdiPlus } from '@mdi/js'
import { deliveryInput } from '#shared/contracts/store'
import FileField from '~/components/common/FileField.vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import PartyField from '~/components/common/PartyField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import DeliveryLine from './DeliveryLine.vue'
import { emptyDelivery, emptyLine } from './delivery-draft'

/** A delivery at the door: who and with what paper once, then cut by cut. */
const emit = defineEmits<{ saved: [] }>()
const floor = useFloor()
const { as } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft('delivery', emptyDelivery)
const { save, saving, errorAt, message } = useSave<{ code: string; meatCodes: string[] }>(deliveryInput)
const offsetC = computed(() => floor.view?.instruments.find(one => one.id === draft.value.thermometerId)?.offsetC ?? 0)

async function receive(): Promise<void> {
  const { supplier, document, note, scaleId, thermometerId, photo, lines } = draft.value
  const made = await save('/api/deliveries', {
    supplier,
    document: document || null,
    note: note || null,
    scaleId,
    thermometerId,
    photoId: photo?.id ?? null,
    lines: lines.map(line => ({
      ...line,
      temperature: { typed: line.temperature, unit: as.value.temperature },
      packDate: line.packDate || null,
      reason: line.reason || null,
    })),
  })
  if (!made) return
  clear()
  recorded(`${made.code} is recorded: ${made.meatCodes.join(', ')}.`, made.eventId, async () => emit('saved'))
  emit('saved')
}
</script>

<template>
  <form class="slip stack" aria-labelledby="delivery-head" @submit.prevent="receive">
    <h2 id="delivery-head">Receive meat</h2>
    <div class="slip-fields">
      <PartyField v-model="draft.supplier" kind="supplier" label="Supplier" :error-messages="errorAt('supplier')" />
      <VTextField
        v-model="draft.document"
        label="Delivery note"
        autocomplete="off"
        :error-messages="errorAt('document')"
      />
      <VTextField
        v-if="draft.lines.some(line => line.cut === 'other')"
        v-model="draft.note"
        label="What the other cut is"
        placeholder="lamb belly"
        maxlength="500"
        :error-messages="errorAt('note')"
      />
      <FileField v-model="draft.photo" label="Photo" photo />
      <InstrumentSelect
        v-model="draft.scaleId"
        kind="scale"
        purpose="door-scale"
        label="Weighed on"
        :error="errorAt('scaleId')"
      />
      <InstrumentSelect
        v-model="draft.thermometerId"
        kind="thermometer"
        purpose="door-thermometer"
        label="Measured with"
        :error="errorAt('thermometerId')"
      />
    </div>
    <DeliveryLine
      v-for="(_line, i) in draft.lines"
      :key="i"
      v-model="draft.lines[i]!"
      :index="i"
      :only="draft.lines.length === 1"
      :offset-c="offsetC"
      :error-at="errorAt"
      @off="draft.lines.splice(i, 1)"
    />
    <div>
      <VBtn variant="outlined" :prepend-icon="mdiPlus" @click="draft.lines.push(emptyLine())">
        Another cut
      </VBtn>
    </div>
    <SaveProblem :message="message" />
    <div>
      <VBtn type="submit" color="primary" :loading="saving">
        Receive {{ draft.lines.length === 1 ? 'it' : `${draft.lines.length} cuts` }}
      </VBtn>
    </div>
  </form>
</template>
