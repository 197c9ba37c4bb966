<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { readCode } from '#core/trace/code'

const props = defineProps<{ code: string }>()
const to = computed(() => {
  const kind = readCode(props.code)?.kind
  return kind === 'lot' ? `/lots/${props.code}` : kind === 'run' ? `/runs/${props.code}` : `/ledger?code=${props.code}`
})
</script>

<template>
  <NuxtLink :to="to" class="code">{{ code }}</NuxtLink>
</template>

<style scoped>
a {
  text-decoration-thickness: 1.5px;
  display: inline-block;
  min-height: 24px;
}
</style>
