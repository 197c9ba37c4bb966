<script setup lang="ts">
import { computed, onMounted } from 'vue'
import type { PartyKind } from '#shared/contracts/store'
import { useParties } from '~/composables/use-parties'

/** A supplier or customer by name: one of those known, or a new one. */
const props = defineProps<{ kind: PartyKind; label: string; errorMessages: string | undefined }>()
const name = defineModel<string>({ required: true })
const { find, found, load } = useParties(props.kind)
const names = computed(() => found.value.rows.map(party => party.name))
onMounted(load)
</script>

<template>
  <VCombobox
    :model-value="name || null"
    :items="names"
    :label="label"
    no-filter
    hide-no-data
    autocomplete="off"
    :error-messages="errorMessages"
    @update:model-value="name = $event ?? ''"
    @update:search="find = $event ?? ''"
  />
</template>
