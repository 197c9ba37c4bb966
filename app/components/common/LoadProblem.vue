<script setup lang="ts">
import { computed } from 'vue'
import type { Problem } from '#shared/contracts/problem'
import { problemWords } from '~/api/client'
import { useSession } from '~/stores/session'

const props = defineProps<{ problem: Problem }>()
const emit = defineEmits<{ again: [] }>()
const session = useSession()
const words = computed(() => problemWords(props.problem, session.notation))
</script>

<template>
  <div class="stack-tight empty" role="alert">
    <p>{{ words }}</p>
    <div><VBtn class="slim" variant="outlined" @click="emit('again')">Try again</VBtn></div>
  </div>
</template>
