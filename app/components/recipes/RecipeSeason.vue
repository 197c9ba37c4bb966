<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { ALLERGENS, type Allergen } from '#shared/contracts/allergens'
import { FLAVOURS, type RecipeSeasoning } from '#shared/contracts/recipes'

/** One seasoning of a recipe that is being written: all as typed. */
interface SeasonDraft extends Pick<RecipeSeasoning, 'name' | 'per' | 'group'> {
  amount: string
  salt: string
  sugar: string
  water: string
  allergens: Allergen[]
}
defineProps<{ number: number; errorAt: (field: string) => string | undefined }>()
const emit = defineEmits<{ leave: [] }>()
const s = defineModel<SeasonDraft>({ required: true })
</script>

<template>
  <fieldset class="season">
    <legend class="visually-hidden">Seasoning {{ number }}</legend>
    <VTextField
      v-model="s.name"
      label="Seasoning"
      density="compact"
      :error-messages="errorAt('name')"
    />
    <VTextField
      v-model="s.amount"
      label="How much"
      density="compact"
      inputmode="decimal"
      :error-messages="errorAt('amount')"
    />
    <VSelect
      v-model="s.per"
      :items="[
        { value: 'percent', title: '% of meat' },
        { value: 'g_per_kg', title: 'g per kg' },
        { value: 'g_per_piece', title: 'g per piece' },
      ]"
      label="counted"
      density="compact"
    />
    <VSelect
      v-model="s.group"
      :items="[
        { value: 'all', title: 'all pieces' },
        ...FLAVOURS.map(mark => ({ value: mark, title: `pieces ${mark}` })),
      ]"
      label="on"
      density="compact"
    />
    <VTextField v-model="s.salt" label="Salt in it" suffix="%" density="compact" inputmode="decimal" />
    <VTextField v-model="s.sugar" label="Sugar in it" suffix="%" density="compact" inputmode="decimal" />
    <VSelect v-model="s.allergens" :items="[...ALLERGENS]" label="Allergens" multiple density="compact" />
    <VBtn
      variant="text"
      :icon="mdiClose"
      :aria-label="`Leave seasoning ${number} out`"
      @click="emit('leave')"
    />
  </fieldset>
</template>

<style scoped>
.season {
  border: 0;
  border-top: 1px solid var(--hair);
  padding: 0.7rem 0 0;
  margin: 0;
  display: grid;
  grid-template-columns: 2fr 0.9fr 1.1fr 1.1fr 0.9fr 0.9fr 1.3fr auto;
  gap: 0.5rem;
}
@media (--tablet) {
  .season {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
