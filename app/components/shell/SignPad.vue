<script setup lang="ts">
import { ref, watch } from 'vue'
import { mdiBackspaceOutline } from '@mdi/js'
import { signatureInput } from '#shared/contracts/people'
import { problemWords, send } from '~/api/client'
import { useSession } from '~/stores/session'
import { useSigning } from '~/stores/signing'

/** Who signs? A name, then a PIN, in taps large enough for gloves. */
const session = useSession()
const signing = useSigning()
const who = ref<number | null>(null)
const pin = ref('')
const problem = ref('')
const sending = ref(false)
const LEAST_DIGITS = 4
const MOST_DIGITS = 6

watch(
  () => signing.asking,
  (asking) => {
    pin.value = ''
    problem.value = ''
    const signers = session.view?.station?.signers ?? []
    if (asking) who.value = signers.length === 1 ? signers[0]!.id : null
  },
)
const press = (digit: number) => {
  if (pin.value.length < MOST_DIGITS) pin.value += String(digit)
}
async function sign(): Promise<void> {
  if (sending.value || !signatureInput.safeParse({ userId: who.value, pin: pin.value }).success) return
  sending.value = true
  const reply = await send('POST', '/api/station/signature', { userId: who.value, pin: pin.value })
  sending.value = false
  pin.value = ''
  if (!reply.ok) {
    problem.value = problemWords(reply.problem, session.notation)
    return
  }
  await session.load()
  signing.answer(true)
}
function onKey(event: KeyboardEvent): void {
  if (/^\d$/.test(event.key)) press(Number(event.key))
  else if (event.key === 'Backspace') pin.value = pin.value.slice(0, -1)
  else if (event.key === 'Enter' && (event.target as HTMLElement).tagName !== 'BUTTON') void sign()
  else return
  event.preventDefault()
}
</script>

<template>
  <VDialog
    :model-value="signing.asking"
    aria-label="Who signs this record?"
    max-width="430"
    @update:model-value="signing.answer(false)"
  >
    <div class="pad stack" @keydown="onKey">
      <h2>Who signs?</h2>
      <p v-if="!session.view?.station?.signers.length">
        Nobody here has a PIN yet. Each chooses one in the Office, signed in with their own password.
      </p>
      <div class="people" role="group" aria-label="Person">
        <VBtn
          v-for="person in session.view?.station?.signers"
          :key="person.id"
          :variant="who === person.id ? 'flat' : 'outlined'"
          :color="who === person.id ? 'primary' : undefined"
          :aria-pressed="who === person.id"
          @click="who = person.id"
        >
          {{ person.initials }}<span class="visually-hidden">, {{ person.name }}</span>
        </VBtn>
      </div>
      <p class="dots" role="status" :aria-label="`${pin.length} digits`">
        <span v-for="i in Math.max(LEAST_DIGITS, pin.length)" :key="i" :class="{ on: i <= pin.length }" />
      </p>
      <div class="digits" role="group" aria-label="PIN">
        <VBtn
          v-for="digit in [1, 2, 3, 4, 5, 6, 7, 8, 9]"
          :key="digit"
          variant="outlined"
          @click="press(digit)"
        >
          {{ digit }}
        </VBtn>
        <VBtn
          class="big-target"
          variant="text"
          :icon="mdiBackspaceOutline"
          aria-label="Take the last digit back"
          @click="pin = pin.slice(0, -1)"
        />
        <VBtn variant="outlined" @click="press(0)">0</VBtn>
        <VBtn
          color="primary"
          :loading="sending"
          :disabled="who === null || pin.length < LEAST_DIGITS"
          @click="sign"
        >
          Sign
        </VBtn>
      </div>
      <p v-if="problem" class="caution grave" role="alert">{{ problem }}</p>
      <VBtn variant="text" @click="signing.answer(false)">Leave it; nothing is lost</VBtn>
    </div>
  </VDialog>
</template>

<style scoped>
.pad {
  background: var(--bone);
  color: var(--peat);
  padding: 1.3rem;
}
.people {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.people .v-btn {
  font: 700 1.3rem/1 var(--slab);
  min-width: 76px;
  min-height: 64px;
}
.digits {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.5rem;
}
.digits .v-btn {
  min-height: 64px;
  font: 700 1.4rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  width: 100%;
}
.dots {
  display: flex;
  gap: 0.7rem;
  min-height: 18px;
  justify-content: center;
}
.dots span {
  width: 16px;
  height: 16px;
  border-radius: 50%;
  border: 2px solid var(--hair-strong);
}
.dots .on {
  background: var(--peat);
  border-color: var(--peat);
}
</style>
