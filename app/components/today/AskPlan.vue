<script setup lang="ts">
import { planChangeInput } from '#shared/contracts/plans'
import type { LotSummary } from '#shared/contracts/lots'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** Nobody laid a plan for this lot: asked once whether it is to be smoked, and then never again. */
const props = defineProps<{ lot: LotSummary }>()
const floor = useFloor()
const session = useSession()
const { say } = useNotice()
const { save, saving, message } = useSave(planChangeInput)

async function answer(isSmoked: boolean): Promise<void> {
  const { plan } = props.lot.plan
  const then = isSmoked ? plan.then : plan.then.filter(item => item.kind !== 'heat')
  const reason = isSmoked ? 'asked: it is to be smoked' : 'asked: it is not to be smoked'
  if (!(await save(`/api/lots/${props.lot.code}/plan`, { plan: { ...plan, then }, pieces: null, reason }))) return
  say(`${props.lot.code}: ${isSmoked ? 'to be smoked' : 'not to be smoked'}.`)
  await floor.load()
}
</script>

<template>
  <div class="ask" role="group" :aria-label="`Will ${lot.code} be smoked?`">
    <p>
      <strong>Will it be smoked?</strong> <LotCode :code="lot.code" />{{ ' ' }}
      <span class="soft small">{{ lot.cut }}: nobody laid a plan for it</span>
    </p>
    <div v-if="session.mayWrite" class="row">
      <VBtn variant="outlined" :disabled="saving" @click="answer(true)">Smoked</VBtn>
      <VBtn variant="outlined" :disabled="saving" @click="answer(false)">Not smoked</VBtn>
    </div>
    <SaveProblem :message="message" />
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 0.15rem 0.35rem;
}
p {
  margin: 0;
}
.row {
  gap: 0.4rem;
}
.v-btn {
  min-height: 56px;
}
</style>
