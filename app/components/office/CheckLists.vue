<script setup lang="ts">
import { ref } from 'vue'
import type { CheckListView, CheckListsView } from '#shared/contracts/checks'
import type { PlaceSetUp } from '#shared/contracts/places'
import { ASKED_WORDS, CHECK_WORDS } from '#shared/messages/checks'
import CheckForm from '~/components/common/CheckForm.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'
import CheckListForm from './CheckListForm.vue'

/** What is looked at and cleaned, by place and tool: how each list stands, and what it asks. */
defineProps<{ places: PlaceSetUp[] }>()
const session = useSession()
const { moment } = useNotation()
const { view, problem, load } = useLoaded<CheckListsView>('/api/check-lists')
/** A list that is gone through or changed; `new` is one to be added. */
const open = ref<{ what: 'look' | 'change'; id: number } | 'new' | null>(null)
const isOpen = (what: 'look' | 'change', id: number) =>
  open.value !== null && open.value !== 'new' && open.value.what === what && open.value.id === id
const toggle = (what: 'look' | 'change', id: number) => (open.value = isOpen(what, id) ? null : { what, id })
const lastWords = ({ last }: CheckListView) =>
  last
    ? [
        `${moment(last.atMs)} by ${last.by}`,
        last.missing.length > 0 && `not done: ${last.missing.join(', ')}`,
        last.note && `“${last.note}”`,
      ]
        .filter(Boolean)
        .join('; ')
    : '–'
async function saved(): Promise<void> {
  open.value = null
  await load()
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="checks-head">
    <h2 id="checks-head">Looked into and cleaned</h2>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="view && !view.lists.length" class="empty">
      No list yet. One for each place or tool that is to be looked at before it is used: the smoker's drip tray, the slicer.
    </p>
    <div v-else-if="view" class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">List</th>
            <th scope="col">Of</th>
            <th scope="col">Asked for</th>
            <th scope="col">Last</th>
            <th scope="col"><span class="visually-hidden">Go through, change</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="list in view.lists" :key="list.id">
            <tr :class="{ soft: !list.inUse }">
              <td>
                <strong>{{ list.name }}</strong>
                <div class="small soft">{{ list.items.join('; ') }}</div>
              </td>
              <td>{{ list.place?.name ?? 'a tool' }}</td>
              <td>
                {{ ASKED_WORDS[list.asked] }}, holds {{ list.goodForHours }} h{{ list.inUse ? '' : '; put away' }}
              </td>
              <td>
                <StateMark :tone="list.state === 'good' ? 'good' : 'watch'">{{ CHECK_WORDS[list.state] }}</StateMark>
                <div class="small soft">{{ lastWords(list) }}</div>
              </td>
              <td class="num">
                <VBtn
                  v-if="session.mayWrite && list.inUse"
                  class="slim"
                  variant="outlined"
                  :aria-label="`Go through ${list.name}`"
                  :aria-expanded="isOpen('look', list.id)"
                  @click="toggle('look', list.id)"
                >
                  Go through
                </VBtn>
                <VBtn
                  v-if="session.isOwner"
                  class="slim"
                  variant="outlined"
                  :aria-label="`Change ${list.name}`"
                  :aria-expanded="isOpen('change', list.id)"
                  @click="toggle('change', list.id)"
                >
                  Change
                </VBtn>
              </td>
            </tr>
            <tr v-if="isOpen('look', list.id)">
              <td colspan="5"><CheckForm :list="list" @saved="saved" /></td>
            </tr>
            <tr v-if="isOpen('change', list.id)">
              <td colspan="5"><CheckListForm :list="list" :places="places" @saved="saved" /></td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <div v-if="session.isOwner">
      <VBtn variant="outlined" :aria-expanded="open === 'new'" @click="open = open === 'new' ? null : 'new'">Add a list</VBtn>
    </div>
    <CheckListForm v-if="open === 'new'" :list="null" :places="places" @saved="saved" />
  </section>
</template>

<style scoped>
section {
  grid-column: 1 / -1;
}
.num .v-btn + .v-btn {
  margin-left: 0.4rem;
}
@media (--phone) {
  thead {
    display: none;
  }
  tbody,
  tr,
  td {
    display: block;
  }
  td.num {
    text-align: left;
  }
  tr {
    border-bottom: 1px solid var(--hair);
  }
}
</style>
