<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'
import { notRight, type ShopAsSeen } from './not-right'

const props = defineProps<ShopAsSeen>()
const session = useSession()
const { as } = useNotation()
const concerns = computed(() => notRight(props, as.value, session.zone))
</script>

<template>
  <section aria-labelledby="wrong">
    <h2 id="wrong">Not right</h2>
    <p v-if="!concerns.length" class="empty">Nothing held, nothing warm, no turn missed.</p>
    <ul>
      <li v-for="(one, i) in concerns" :key="i">
        <StateMark :tone="one.tone">{{ one.mark }}</StateMark>
        <LotCode v-if="one.code" :code="one.code" />
        <strong v-if="one.name">{{ one.name }}</strong>
        <span v-if="one.words">{{ one.words }}</span>
        <NuxtLink v-if="one.to" :to="one.to.path">{{ one.to.words }}</NuxtLink>
        <InstrumentNote v-if="one.instrument" :mark="one.instrument" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.7rem;
  align-items: center;
  padding: 0.28rem 0;
  border-bottom: 1px solid var(--hair);
}
</style>
