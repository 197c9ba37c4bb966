<script setup lang="ts">
import { computed } from 'vue'
import { clearError } from '#imports'
import { NuxtLayout } from '#components'

/** An address where nothing is, or a page that broke: what that means, and the way back. */
const props = defineProps<{ error: { statusCode?: number; message: string } }>()
const gone = computed(() => props.error.statusCode === 404)
const path = location.pathname
const again = () => location.reload()
const home = () => clearError({ redirect: '/' })
</script>

<template>
  <VApp>
    <NuxtLayout name="default">
      <section class="lost" role="alert">
        <template v-if="gone">
          <h1>No such page</h1>
          <p>Nothing is at <span class="path">{{ path }}</span>. What is recorded is where it was: choose a room, or type a code.</p>
        </template>
        <template v-else>
          <h1>This page broke</h1>
          <p>What was recorded is kept. Load the page again; if it breaks again, tell the one who looks after the computer:</p>
          <p class="path">{{ error.message }}</p>
        </template>
        <div class="ways">
          <VBtn v-if="!gone" color="primary" @click="again">Load the page again</VBtn>
          <VBtn :color="gone ? 'primary' : undefined" :variant="gone ? 'flat' : 'outlined'" @click="home">To Today</VBtn>
        </div>
      </section>
    </NuxtLayout>
  </VApp>
</template>

<style scoped>
.lost {
  max-width: 40rem;
}
.path {
  overflow-wrap: anywhere;
  font-weight: 600;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  margin-top: 1.2rem;
}
.v-btn {
  min-height: 56px;
}
</style>
