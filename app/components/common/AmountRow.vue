<script setup lang="ts">
/** One thing to weigh in a table of two columns, or of three with a word beside it. */
defineProps<{ name: string; amount: string; beside?: string }>()
</script>

<template>
  <tr>
    <td>{{ name }}<slot /></td>
    <td class="num">
      <strong>{{ amount }}</strong>
    </td>
    <td v-if="beside !== undefined" class="soft">{{ beside }}</td>
  </tr>
</template>
