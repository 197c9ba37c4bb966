<script setup lang="ts">
import { holdInput } from '#shared/contracts/holds'
import ReasonDialog from '~/components/common/ReasonDialog.vue'

/** Holds a lot because something was seen; only the owner lets it go. */
defineProps<{ code: string }>()
const emit = defineEmits<{ held: [] }>()
</script>

<template>
  <ReasonDialog
    :title="`Hold ${code}`"
    verb="Hold it"
    why="What is wrong with it"
    field="text"
    :contract="holdInput"
    :path="`/api/lots/${code}/hold`"
    :said="`${code} is held. It goes nowhere until the owner decides.`"
    @done="emit('held')"
  >
    <template #opener="{ begin }">
      <VBtn variant="outlined" @click="begin">Hold</VBtn>
    </template>
  </ReasonDialog>
</template>
