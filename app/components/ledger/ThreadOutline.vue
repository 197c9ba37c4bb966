<script setup lang="ts">
import type { ThreadOutline } from '#shared/contracts/thread'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

/** A large thread in lists: who is to be told, and which lots they come from. */
defineProps<{ outline: ThreadOutline }>()
const { meat } = useNotation()
</script>

<template>
  <div class="outline">
    <section aria-labelledby="outline-customers">
      <h3 id="outline-customers">Who has it</h3>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Customer</th>
            <th scope="col" class="num">Packs</th>
            <th scope="col" class="num">Weight</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in outline.customers" :key="row.code">
            <td>{{ row.title }}</td>
            <td class="num">{{ row.packs }}</td>
            <td class="num">{{ meat(row.massG) }}</td>
          </tr>
          <tr v-if="outline.unsent.packs">
            <td><strong>still here</strong></td>
            <td class="num">{{ outline.unsent.packs }}</td>
            <td class="num">{{ meat(outline.unsent.massG) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section aria-labelledby="outline-lots">
      <h3 id="outline-lots">Lots it is in</h3>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Lot</th>
            <th scope="col">Cut</th>
            <th scope="col" class="num">Packs</th>
            <th scope="col" class="num">Weight</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in outline.lots" :key="row.code">
            <td><LotCode :code="row.code" /></td>
            <td>{{ row.title }} <StateMark v-if="row.held" tone="held">held</StateMark></td>
            <td class="num">{{ row.packs }}</td>
            <td class="num">{{ meat(row.massG) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.outline {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 1.4rem 2.5rem;
  align-items: start;
}
@media (--tablet) {
  .outline {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
