<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import { NuxtPage } from '#components'
import PageHead from '~/components/common/PageHead.vue'
import DrawerFronts from '~/components/office/DrawerFronts.vue'
import { DRAWERS } from '~/logic/drawers'
import { useSession } from '~/stores/session'

/** The Office: a cabinet, and beside it what lies in the drawer that is open. */
const route = useRoute()
const session = useSession()
const open = computed(() => DRAWERS.find(drawer => route.path.startsWith(drawer.to)))
</script>

<template>
  <div>
    <PageHead
      :title="open ? open.name : 'Office'"
      :sub="open ? open.holds : `${session.view?.shopName ?? ''}, on the clock of ${session.zone.replace('_', ' ')}`"
    />
    <div class="office" :class="{ pulled: open }">
      <DrawerFronts class="no-print" :open="open?.to ?? null" />
      <NuxtPage />
    </div>
  </div>
</template>

<style scoped>
.office.pulled {
  display: grid;
  grid-template-columns: 14.5rem minmax(0, 1fr);
  gap: 0 2.4rem;
  align-items: start;
}
@media (--tablet) {
  .office.pulled {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.4rem 0;
  }
}
</style>
