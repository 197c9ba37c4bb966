<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute } from '#imports'
import { isLeft } from '#core/lots/finished'
import type { LotView } from '#shared/contracts/lots'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SendPacks from '~/components/slicing/SendPacks.vue'
import SliceForm from '~/components/slicing/SliceForm.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { goesOn } from '~/logic/which-pieces'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const route = useRoute()
const floor = useFloor()
const session = useSession()
const { meat } = useNotation()
const chosen = ref<string>(String(route.query.lot ?? ''))
const {
  view: lot,
  problem,
  load: loadLot,
} = useLoaded<LotView>(() => (chosen.value ? `/api/lots/${encodeURIComponent(chosen.value)}` : null))
const open = computed(() =>
  floor.lots.filter(
    l =>
      goesOn(l).length > 0
      && (l.runs.every(run => run.pulledAtMs !== null && run.cooled) || l.runs.every(run => run.pieces < l.pieces.length))
      && (l.packs === 0 || l.unsent > 0 || isLeft(l)),
  ),
)
const toSend = computed(() => floor.lots.filter(l => l.unsent > 0))

async function done(): Promise<void> {
  await Promise.all([floor.load(), loadLot()])
}
onMounted(async () => {
  await floor.load()
  if (!chosen.value) chosen.value = open.value[0]?.code ?? ''
})
</script>

<template>
  <div>
    <PageHead
      title="Slicing table"
      sub="Weigh the slabs first, then every pack. One pack holds pieces of one lot only."
    />
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <p v-if="!open.length" class="empty">
        No lot is ready to slice. A lot comes here when its cooling is recorded to the end and nothing holds it.
      </p>
      <template v-else>
        <div class="row" role="group" aria-label="Lot on the table">
          <VBtn
            v-for="l in open"
            :key="l.code"
            :variant="l.code === chosen ? 'flat' : 'outlined'"
            :color="l.code === chosen ? 'secondary' : undefined"
            :aria-pressed="l.code === chosen"
            @click="chosen = l.code"
          >
            <span class="code">{{ l.code }}</span>&nbsp; {{ l.cut }}, {{ meat(l.greenG) }}
          </VBtn>
        </div>
        <LoadProblem v-if="problem" :problem="problem" @again="loadLot" />
        <SliceForm v-if="lot && session.mayWrite" :key="lot.code" :lot="lot" @saved="done" />
      </template>
      <SendPacks v-if="toSend.length && session.mayWrite" :lots="toSend" @sent="done" />
    </div>
  </div>
</template>
