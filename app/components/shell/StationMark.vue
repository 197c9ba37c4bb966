<script setup lang="ts">
import { computed } from 'vue'
import { send } from '~/api/client'
import { useClock } from '~/composables/use-clock'
import { useSession } from '~/stores/session'
import { useSigning } from '~/stores/signing'

/** The mark of a shared tablet: its name, and whose PIN signs now. */
const session = useSession()
const signing = useSigning()
const nowMs = useClock()
const station = computed(() => session.view?.station ?? null)
const signer = computed(() =>
  station.value?.signer && (station.value.signedUntilMs ?? 0) > nowMs.value ? station.value.signer : null,
)
async function stepAway(): Promise<void> {
  await send('DELETE', '/api/station/signature', {})
  await session.load()
}
</script>

<template>
  <div v-if="station?.shared" class="station">
    <span class="name">{{ station.name }}</span>
    <VBtn
      v-if="signer"
      variant="text"
      class="who"
      :aria-label="`${signer.name} signs here. Press to step away`"
      @click="stepAway"
    >
      <strong>{{ signer.initials }}</strong>&nbsp;signs
    </VBtn>
    <VBtn v-else variant="text" class="who" @click="signing.ask()">Nobody signs</VBtn>
  </div>
</template>

<style scoped>
.station {
  display: flex;
  align-items: center;
  gap: 0.2rem;
}
.name {
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 12rem;
}
@media (--tablet) {
  .name {
    display: none;
  }
}
</style>
