<script setup lang="ts">
import { ref } from 'vue'
import type { DoorView } from '#shared/contracts/people'
import LoadProblem from '~/components/common/LoadProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

/** Who knocked: for the owner's eyes, the newest first. */
const { moment } = useNotation()
const { view: tries, problem, load } = useLoaded<DoorView[]>('/api/office/door')
const all = ref(false)
const FEW = 8
const KINDS: Record<DoorView['kind'], string> = {
  password: 'sign-in',
  pin: 'PIN',
  own: 'own password again',
  code: 'second factor',
  setup: 'opening the shop',
  name_closed: 'name closed for a while',
  shop_exported: 'whole shop taken along',
}
const outcome = ({ kind, succeeded }: DoorView) =>
  kind === 'name_closed' ? 'closed' : kind === 'shop_exported' ? 'done' : succeeded ? 'right' : 'wrong'
</script>

<template>
  <section class="stack-tight" aria-labelledby="door-head">
    <h2 id="door-head">At the door</h2>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!tries" class="empty">Looking at the door…</p>
    <p v-else-if="!tries.length" class="empty">Nobody has knocked yet.</p>
    <template v-else>
      <div class="scroll-x" tabindex="0" role="group" aria-label="Tries at the door, scroll sideways">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Name</th>
              <th scope="col">What</th>
              <th scope="col">From</th>
              <th scope="col">It was</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, i) in all ? tries : tries.slice(0, FEW)" :key="i">
              <td>{{ moment(one.atMs) }}</td>
              <td>{{ one.signIn || '–' }}</td>
              <td>{{ KINDS[one.kind] }}</td>
              <td class="small">
                {{ one.address || 'this shop' }}<span v-if="one.known" class="soft">, a known device</span>
              </td>
              <td>
                <StateMark :tone="one.succeeded ? 'good' : 'act'">{{ outcome(one) }}</StateMark>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="tries.length > FEW">
        <VBtn class="slim" variant="text" @click="all = !all">{{ all ? 'Fewer' : `The last ${tries.length}` }}</VBtn>
      </div>
    </template>
  </section>
</template>
