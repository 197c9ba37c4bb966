<script setup lang="ts">
import type { ByWeight } from '#core/spoons/by-weight'
import type { Grams, Ppm } from '#core/units/quantities'
import AmountRow from '~/components/common/AmountRow.vue'
import { useNotation } from '~/composables/use-notation'

/** The recipe by weight, with the way to the Bench. */
defineProps<{ written: ByWeight; meatG: Grams; houseTargetPpm: Ppm }>()
const emit = defineEmits<{ bench: [] }>()
const { grams, percent, meat, ppm } = useNotation()
</script>

<template>
  <section class="stack-tight" aria-labelledby="by-weight">
    <h2 id="by-weight">The same by weight, for {{ meat(meatG) }}</h2>
    <table class="ruled">
      <tbody>
        <AmountRow
          v-if="written.hasAgent"
          name="Curing salt no. 1"
          :amount="grams(written.agentG)"
          :beside="`${ppm(written.nitritePpm)}, `
            + (written.nitritePpm === houseTargetPpm ? 'the house target' : 'midway between floor and limit')"
        />
        <AmountRow name="Salt" :amount="grams(written.saltG)" :beside="`${percent(written.saltShare)} in all`" />
        <AmountRow name="Sugar" :amount="grams(written.sugarG)" :beside="percent(written.sugarShare)" />
        <AmountRow
          v-for="spice in written.spices"
          :key="spice.name"
          :name="spice.name"
          :amount="grams(spice.share * meatG)"
          :beside="percent(spice.share, 2)"
        />
      </tbody>
    </table>
    <p class="caution">Curing salt is poisonous: weigh it on a scale that reads to 0.1 g, never by spoon.</p>
    <div class="row no-print">
      <VBtn color="primary" @click="emit('bench')">Lay it on the Bench</VBtn>
    </div>
  </section>
</template>
