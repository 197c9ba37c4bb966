<script setup lang="ts">
import type { LotView } from '#shared/contracts/lots'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import PackBack from './PackBack.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ lot: LotView }>()
const emit = defineEmits<{ corrected: [] }>()
const { meat, date } = useNotation()
</script>

<template>
  <section v-if="lot.packList.length" aria-labelledby="packs-head">
    <h2 id="packs-head">Packs ({{ lot.packList.length }})</h2>
    <ul>
      <li v-for="pack in lot.packList" :key="pack.id">
        <LotCode :code="pack.code" /><span class="num">{{ meat(pack.netG) }}{{ pack.kind === 'ends' ? ' ends' : '' }}</span>
        <span class="small soft">{{ pack.customer ? `${pack.customer}, ${date(pack.sentOn!)}` : pack.returned ? '' : 'not sent' }}
          <CorrectButton
            v-if="pack.customer"
            :id="pack.id"
            what="pack_customer"
            :about="`${pack.code}, who has it`"
            :now="pack.customer"
            @corrected="emit('corrected')"
          />
          <InstrumentNote :mark="pack.scale" />
          <PackBack :pack="pack" @done="emit('corrected')" /></span>
        <CorrectButton
          :id="pack.id"
          what="pack_weight"
          :about="pack.code"
          :now="pack.netTyped"
          @corrected="emit('corrected')"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 26rem;
  column-gap: 2.5rem;
}
li {
  display: grid;
  grid-template-columns: 5rem 6.5rem minmax(0, 1fr) auto;
  gap: 0.6rem;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  break-inside: avoid;
  min-height: 34px;
}
</style>
