<script setup lang="ts">
import { ref } from 'vue'
import { mdiKeyboardReturn } from '@mdi/js'
import type { LotView } from '#shared/contracts/lots'
import { packReturnInput, returnDecisionInput, type ReturnDecision } from '#shared/contracts/returns'
import ReasonDialog from '~/components/common/ReasonDialog.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** A pack that is with a customer may come back; one that did waits for the owner, and says what became of it. */
defineProps<{ pack: LotView['packList'][number] }>()
const emit = defineEmits<{ done: [] }>()
const floor = useFloor()
const session = useSession()
const { moment } = useNotation()
const placeId = ref<number | null>(null)
const decision = ref<ReturnDecision>('destroy')
const places = () => (floor.view?.places ?? []).filter(place => place.uses.includes('cold') || place.uses.includes('freeze'))
</script>

<template>
  <template v-if="pack.returned">
    <StateMark :tone="pack.returned.disposition === null ? 'held' : 'plain'">
      came back{{ pack.returned.disposition ? `: ${pack.returned.disposition}` : '' }}
    </StateMark>
    <span class="small">{{ ' ' }}{{ pack.returned.from }}, {{ moment(pack.returned.atMs) }}: {{ pack.returned.reason }}{{
      pack.returned.place ? `; lies in ${pack.returned.place}` : ''
    }}</span>
  </template>
  <ReasonDialog
    v-if="pack.customer"
    :title="`${pack.code} came back from ${pack.customer}`"
    verb="It is here again"
    why="Why did it come back?"
    field="reason"
    :contract="packReturnInput"
    :path="`/api/packs/${pack.code}/return`"
    :body="{ placeId }"
    said="It waits for the owner."
    @begun="floor.view ?? floor.load()"
    @done="emit('done')"
  >
    <template #opener="{ begin }">
      <VBtn
        variant="text"
        density="comfortable"
        size="small"
        :icon="mdiKeyboardReturn"
        :aria-label="`${pack.code} came back`"
        title="It came back"
        @click="begin"
      />
    </template>
    <p class="caution">Held until the owner decides. Out of the cold nobody knows how warm it was: when in doubt destroy it.</p>
    <VSelect v-model="placeId" :items="places()" item-title="name" item-value="id" label="Where it lies now" clearable />
  </ReasonDialog>
  <ReasonDialog
    v-else-if="pack.returned && pack.returned.disposition === null && session.isOwner"
    :title="`What becomes of ${pack.code}?`"
    verb="Decide"
    why="Why, and what was done"
    field="text"
    :contract="returnDecisionInput"
    :path="`/api/returns/${pack.returned.id}/decision`"
    :body="{ disposition: decision }"
    said="The decision is in the book."
    @done="emit('done')"
  >
    <template #opener="{ begin }">
      <VBtn variant="outlined" density="comfortable" @click="begin">Decide</VBtn>
    </template>
    <VBtnToggle v-model="decision" mandatory variant="outlined" aria-label="Decision">
      <VBtn value="destroy">Destroy</VBtn><VBtn value="release">It may go out again</VBtn>
    </VBtnToggle>
  </ReasonDialog>
</template>
