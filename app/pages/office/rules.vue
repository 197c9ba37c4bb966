<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RulesView } from '#shared/contracts/rules'
import LoadProblem from '~/components/common/LoadProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import ConfirmSet from '~/components/rules/ConfirmSet.vue'
import HouseLimits from '~/components/rules/HouseLimits.vue'
import OwnRules from '~/components/rules/OwnRules.vue'
import RuleTable from '~/components/rules/RuleTable.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSession } from '~/stores/session'

const session = useSession()
const { dateInYear } = useNotation()
const { say } = useNotice()
const { view, problem, load } = useLoaded<RulesView>('/api/rules')
const chosen = ref<string | null>(null)
const editing = ref<'copy' | 'change' | null>(null)
const set = computed(
  () => view.value?.sets.find(one => (chosen.value ? one.rules.id === chosen.value : one.inForce)) ?? null,
)
function show(id: string): void {
  chosen.value = id
  editing.value = null
}
/** Said only once the set is there to be confirmed, so that nobody types into another's form. */
async function written(id: string): Promise<void> {
  await load()
  show(id)
  say('Written. Confirm it against the authority\'s text before it is used.')
}
</script>

<template>
  <div>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view || !set" class="empty">Opening the drawer…</p>
    <div v-else class="stack">
      <HouseLimits v-if="session.isOwner" :view="view" @saved="load" />
      <nav class="sets no-print" aria-label="Rule sets">
        <VBtn
          v-for="one in view.sets"
          :key="one.rules.id"
          :variant="one === set ? 'flat' : 'outlined'"
          :color="one === set ? 'primary' : undefined"
          :aria-current="one === set"
          @click="show(one.rules.id)"
        >
          {{ one.rules.jurisdiction }}
        </VBtn>
      </nav>
      <section class="stack-tight" aria-labelledby="set-head">
        <div class="ruled-head">
          <h2 id="set-head">{{ set.rules.jurisdiction }}</h2>
          <div class="row">
            <StateMark v-if="set.inForce" tone="good">in force</StateMark>
            <StateMark :tone="set.confirmed ? 'good' : set.inForce ? 'act' : 'cold'">
              {{
                set.confirmed ? 'confirmed' : 'not confirmed by this shop'
              }}
            </StateMark>
            <span v-if="set.confirmed" class="small">by {{ set.confirmed.by }}, {{ dateInYear(set.confirmed.on) }}:
              {{ set.confirmed.reference }}</span>
          </div>
        </div>
        <RuleTable :rules="set.rules" />
        <p class="small soft">An aid: your inspector, process authority and local code decide.</p>
        <template v-if="session.isOwner">
          <ConfirmSet :key="set.rules.id" :set="set" @saved="load" />
          <div v-if="!editing" class="row">
            <VBtn variant="outlined" @click="editing = 'copy'">Make a set of our own from this</VBtn>
            <VBtn v-if="set.own" variant="outlined" @click="editing = 'change'">Change this set</VBtn>
          </div>
          <OwnRules
            v-else
            :key="`${set.rules.id}-${editing}`"
            :from="set.rules"
            :own="editing === 'change'"
            @saved="written"
            @close="editing = null"
          />
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.sets {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
