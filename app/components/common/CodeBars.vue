<script setup lang="ts">
import { computed } from 'vue'
import { code128, drawingSVG } from 'bwip-js/generic'

/** The code as bars for a scanner, and as text. */
const props = defineProps<{ code: string }>()
const picture = computed(
  () =>
    `data:image/svg+xml;utf8,${encodeURIComponent(
      code128({ bcid: 'code128', text: props.code, height: 11, includetext: false }, drawingSVG()),
    )}`,
)
</script>

<template>
  <figure>
    <img :src="picture" :alt="`Barcode of ${code}`" />
    <figcaption class="code">{{ code }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  justify-self: start;
  text-align: center;
  background: #fff;
  padding: 0.5rem 0.7rem 0.3rem;
  color: #000;
}
img {
  width: 150px;
  height: 44px;
  display: block;
}
</style>
