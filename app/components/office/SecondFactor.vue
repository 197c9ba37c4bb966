<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { drawingSVG, qrcode } from 'bwip-js/generic'
import { secondFactorInput, secondFactorOffInput, type SecondFactorOffer } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** A code from the phone beside the password, for an owner who wants it. */
const props = defineProps<{ set: boolean }>()
const emit = defineEmits<{ saved: [] }>()
const { say } = useNotice()
const offer = ref<SecondFactorOffer | null>(null)
const form = reactive({ code: '', current: '' })
/** The phone is to be put off: first a code of it. */
const dropping = ref(false)
const codes = ref<string[]>([])
const begin = useSave<SecondFactorOffer>()
const keep = useSave<{ recoveryCodes: string[] }>(secondFactorInput)
const off = useSave(secondFactorOffInput)
const picture = computed(() =>
  offer.value
    ? `data:image/svg+xml;utf8,${encodeURIComponent(qrcode({ bcid: 'qrcode', text: offer.value.uri, scale: 3 }, drawingSVG()))}`
    : '',
)
async function start(): Promise<void> {
  offer.value = await begin.save('/api/me/second-factor/offer', {})
}
async function confirm(): Promise<void> {
  const { secret, proof } = offer.value!
  const done = await keep.save('/api/me/second-factor', { secret, proof, code: form.code, current: form.current || null }, 'PUT')
  if (!done) return
  codes.value = done.recoveryCodes
  offer.value = null
  form.code = form.current = ''
  emit('saved')
}
async function drop(): Promise<void> {
  if (!(await off.save('/api/me/second-factor/off', { current: form.current || null }))) return
  form.current = ''
  dropping.value = false
  codes.value = []
  say('The door asks for no code from your phone any more.')
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="factor-head">
    <h2 id="factor-head">A second key: your phone</h2>
    <p class="row">
      <StateMark :tone="set ? 'good' : 'plain'">{{ set ? 'in use' : 'not in use' }}</StateMark>
      <span>With it a password alone opens nothing. Any authenticator that reads the picture will do.</span>
    </p>
    <div v-if="codes.length" class="caution stack-tight" role="status">
      <p>
        <strong>Write these down and lock them away.</strong> Each signs you in once when the phone is not at hand. They
        are not shown again.
      </p>
      <ul class="codes">
        <li v-for="code in codes" :key="code" class="code">{{ code }}</li>
      </ul>
      <div><VBtn variant="outlined" @click="codes = []">They are written down</VBtn></div>
    </div>
    <form v-if="offer" class="offer" @submit.prevent="confirm">
      <img :src="picture" alt="Picture for the authenticator; the same secret stands beside it" />
      <div class="stack-tight">
        <p>
          Let the phone read the picture, or type the secret into it:
          <span class="code secret">{{ offer.secret }}</span>
        </p>
        <VTextField
          v-model="form.code"
          label="Six digits that it shows now"
          inputmode="numeric"
          autocomplete="one-time-code"
          maxlength="6"
          :error-messages="keep.errorAt('code')"
        />
        <VTextField
          v-if="props.set"
          v-model="form.current"
          label="A code of the phone in use, or a recovery code"
          autocomplete="one-time-code"
          maxlength="40"
          :error-messages="keep.errorAt('current')"
        />
        <SaveProblem :message="keep.message.value" />
        <VBtn type="submit" color="primary" :loading="keep.saving.value">Ask for it from now on</VBtn>
      </div>
    </form>
    <form v-if="dropping && !offer" class="stack-tight" @submit.prevent="drop">
      <VTextField
        v-model="form.current"
        label="A code of the phone in use, or a recovery code"
        autocomplete="one-time-code"
        maxlength="40"
        :error-messages="off.errorAt('current')"
      />
      <div class="row">
        <VBtn type="submit" color="primary" :loading="off.saving.value">Ask for no code any more</VBtn>
        <VBtn variant="text" @click="dropping = false">Leave it on</VBtn>
      </div>
    </form>
    <SaveProblem :message="begin.message.value || off.message.value" />
    <div v-if="!offer && !dropping" class="row">
      <VBtn variant="outlined" :loading="begin.saving.value" @click="start">
        {{
          set ? 'Use another phone' : 'Set it up'
        }}
      </VBtn>
      <VBtn v-if="set" variant="text" @click="dropping = true">Do without it</VBtn>
    </div>
  </section>
</template>

<style scoped>
.offer {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  gap: 1rem;
  align-items: start;
}
.offer img {
  width: 168px;
  background: #fff;
  padding: 8px;
}
.secret {
  white-space: normal;
  overflow-wrap: anywhere;
}
.codes {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 2 14rem;
}
@media (--phone) {
  .offer {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
