<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from '#imports'
import { useTheme } from 'vuetify'
import ClockAsk from '~/components/shell/ClockAsk.vue'
import PasswordAsk from '~/components/shell/PasswordAsk.vue'
import KeyList from '~/components/shell/KeyList.vue'
import NoticeLine from '~/components/shell/NoticeLine.vue'
import ReminderLine from '~/components/shell/ReminderLine.vue'
import RoomStrip from '~/components/shell/RoomStrip.vue'
import SignPad from '~/components/shell/SignPad.vue'
import ShellHead from '~/components/shell/ShellHead.vue'
import { useShellKeys } from '~/composables/use-shell-keys'
import { useSession } from '~/stores/session'

const session = useSession()
const route = useRoute()
const theme = useTheme()
const night = ref(localStorage.getItem('veldmoor-night') === '1')
const inside = computed(() => session.user !== null)
const { showKeys } = useShellKeys()

watch(
  night,
  (on) => {
    theme.change(on ? 'night' : 'day')
    localStorage.setItem('veldmoor-night', on ? '1' : '')
  },
  { immediate: true },
)
onMounted(() => document.documentElement.style.setProperty('color-scheme', 'light dark'))
watch(
  () => route.path,
  () => document.getElementById('room')?.focus({ preventScroll: true }),
)
</script>

<template>
  <div class="shell" :class="{ night }">
    <a class="skip" href="#room">Go to the room</a>
    <ShellHead v-if="inside" v-model:night="night" @keys="showKeys = true" />
    <RoomStrip v-if="inside" />
    <ReminderLine v-if="inside" />
    <main id="room" tabindex="-1">
      <slot />
    </main>
    <NoticeLine />
    <SignPad v-if="inside" />
    <ClockAsk v-if="inside" />
    <PasswordAsk v-if="inside" />
    <KeyList v-model="showKeys" />
  </div>
</template>

<style scoped>
.shell {
  min-height: 100vh;
  background: var(--bone);
  color: var(--peat);
}
main {
  max-width: 1320px;
  margin: 0 auto;
  padding: 1.25rem 1.5rem 5rem;
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
  top: 0;
  background: var(--peat);
  color: var(--bone);
  padding: 0.7rem 1rem;
  z-index: 9;
}
.skip:focus {
  left: 0;
}
@media (--narrow) {
  main {
    padding: 0.9rem 0.9rem 5rem;
  }
}
</style>
