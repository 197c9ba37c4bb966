<script setup lang="ts">
import { reactive } from 'vue'
import type { ScaleView } from '#shared/contracts/lots'
import { scaleInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

defineProps<{ scales: ScaleView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
const form = reactive({ name: '', purpose: 'mix' as 'mix' | 'meat', readabilityG: '' })
const { save, saving, errorAt, message } = useSave(scaleInput)
async function add(): Promise<void> {
  if (!await save('/api/office/scales', { ...form })) return
  say(`${form.name} can be chosen on the Bench.`)
  form.name = ''
  form.readabilityG = ''
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="scales-head">
    <h2 id="scales-head">Scales</h2>
    <table class="ruled">
      <thead><tr><th scope="col">Scale</th><th scope="col">For</th><th scope="col" class="num">Reads to</th></tr></thead>
      <tbody><tr v-for="scale in scales" :key="scale.id"><td>{{ scale.name }}</td><td>{{ scale.purpose === 'meat' ? 'meat' : 'the cure' }}</td><td class="num">{{ scale.readabilityG }} g</td></tr></tbody>
    </table>
    <form v-if="session.isOwner" class="fields" @submit.prevent="add">
      <VTextField v-model="form.name" label="Another scale" :error-messages="errorAt('name')" />
      <VSelect v-model="form.purpose" :items="[{ value: 'mix', title: 'the cure' }, { value: 'meat', title: 'meat' }]" label="For" />
      <VTextField v-model="form.readabilityG" label="Reads to" suffix="g" inputmode="decimal" :error-messages="errorAt('readabilityG')" />
      <VBtn type="submit" class="floor" variant="outlined" :loading="saving">Add</VBtn>
      <SaveProblem :message="message" />
    </form>
  </section>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 1.6fr 1fr 1fr auto; gap: .6rem; }
@media (max-width: 620px) { .fields { grid-template-columns: 1fr; } }
</style>
