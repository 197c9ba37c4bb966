<script setup lang="ts">
import { onLongPress } from '@vueuse/core'
import { ref, useTemplateRef, type ComponentPublicInstance, type Ref } from 'vue'

/** A verb of the floor. A tap says that it is done now; a finger that stays asks when. */
const props = withDefaults(
  defineProps<{ main?: boolean; icon?: string | undefined; loading?: boolean; disabled?: boolean; good?: boolean }>(),
  { icon: undefined },
)
const emit = defineEmits<{ now: []; late: [] }>()
const button = useTemplateRef<ComponentPublicInstance>('button')
const held = ref(false)
onLongPress(
  button as unknown as Ref<ComponentPublicInstance | null>,
  () => {
    held.value = true
    emit('late')
  },
  { delay: 550, modifiers: { prevent: true } },
)
function tap(): void {
  if (held.value) held.value = false
  else if (!props.loading) emit('now')
}
</script>

<template>
  <VBtn
    ref="button"
    class="verb"
    :color="main ? 'primary' : good ? 'secondary' : undefined"
    :variant="main || good ? 'flat' : 'outlined'"
    :prepend-icon="icon"
    :class="{ sending: loading }"
    :aria-busy="loading"
    :ripple="false"
    :disabled="disabled"
    @click="tap"
    @contextmenu.prevent
  >
    <slot />
  </VBtn>
</template>

<style scoped>
.verb {
  padding: 0 0.4rem;
  line-height: 1.1;
  touch-action: manipulation;
  user-select: none;
}
/* The press shows at once; nothing moves, which a slow tablet would draw frame by frame. */
.verb:active,
.sending {
  box-shadow: inset 0 0 0 4px var(--heather);
}
.verb.bg-primary:active,
.sending.bg-primary {
  box-shadow: inset 0 0 0 4px var(--bone);
}
.sending {
  cursor: progress;
}
.verb :deep(.v-btn__content) {
  white-space: normal;
}
</style>
