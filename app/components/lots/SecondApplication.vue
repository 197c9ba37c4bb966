<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import type { Grams } from '#core/units/quantities'
import { computed, ref } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { secondApplicationInput } from '#shared/contracts/rub'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'
import { ROLE_WORDS } from './lot-words'

/** The half of the cure that goes on after the first draining. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ done: [words: string, eventId: number | null] }>()
const session = useSession()
const { grams } = useNotation()
const { save, saving, message, errorAt } = useSave(secondApplicationInput)
const { draft, clear } = useDraft(`after-${props.lot.code}`, () => ({ agent: '', salt: '', sugar: '' }))
const mixScaleId = ref<number | null>(null)
const ROLES = ['agent', 'salt', 'sugar'] as const
type Role = (typeof ROLES)[number]
const first = computed(() =>
  ROLES.flatMap(role =>
    props.lot.ingredients.filter(part => part.role === role && part.application === 1).map(part => ({ ...part, role })),
  ),
)
const restG = (plannedG: Grams) => (plannedG * (1 - props.lot.firstShare!)) / props.lot.firstShare!

async function apply(): Promise<void> {
  const of = (role: Role) => {
    const part = first.value.find(one => one.role === role)
    return part ? { lotCode: part.code, weighed: draft.value[role] } : null
  }
  const made = await save(`/api/lots/${props.lot.code}/second-application`, {
    agent: of('agent'),
    salt: of('salt'),
    sugar: of('sugar'),
    mixScaleId: mixScaleId.value,
  })
  if (!made) return
  clear()
  emit('done', `${props.lot.code}: the second application is on.`, made.eventId)
}
</script>

<template>
  <form class="slip stack-tight" @submit.prevent="apply">
    <h3>Second application</h3>
    <p>After the first draining the rest goes on. Until then the verdict counts it as planned.</p>
    <template v-if="session.mayWrite">
      <div class="quarters no-print">
        <WeightField
          v-for="part in first"
          :key="part.id"
          v-model="draft[part.role]"
          :label="`${ROLE_WORDS[part.role]}, about ${grams(restG(part.plannedG))}`"
          fine
          :range="INGREDIENT_RANGE"
          :error="errorAt(part.role)"
        />
        <InstrumentSelect
          v-model="mixScaleId"
          kind="scale"
          purpose="mix"
          prefer="mix"
          label="Weighed on"
          :error="errorAt('mixScaleId')"
        />
      </div>
      <p class="caution">Curing salt is poisonous. The same lot as the first half: no. 1 is not no. 2.</p>
      <SaveProblem :message="message" />
      <div>
        <VBtn type="submit" color="primary" :loading="saving">The second half is on</VBtn>
      </div>
    </template>
  </form>
</template>
