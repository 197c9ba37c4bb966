<script setup lang="ts">
import { NuxtLayout, NuxtPage } from '#components'
</script>

<template>
  <VApp>
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </VApp>
</template>
