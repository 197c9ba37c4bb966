<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { navigateTo, useRoute } from '#imports'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import { setupInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useDraft } from '~/composables/use-draft'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** The first visit: what the shop is called, whose law it stands under, how its owner writes figures. */
const session = useSession()
const route = useRoute()
const zones = Intl.supportedValuesOf('timeZone')
const laws = SHIPPED_RULES.map(rules => ({
  value: rules.id,
  title: rules.jurisdiction,
  props: { subtitle: rules.source },
}))
/** What this browser's own settings suggest; changed with one tap. */
function suggested() {
  const locale = new Intl.Locale(navigator.language)
  const us = locale.region === 'US' || (locale.language === 'en' && !locale.region)
  const comma = new Intl.NumberFormat(navigator.language).format(1.5).includes(',')
  return {
    mass: us ? 'us' : 'metric',
    temperature: us ? 'F' : 'C',
    decimal: comma ? ',' : '.',
    dates: us ? 'mdy' : 'dmy',
  }
}
const { draft: form, clear } = useDraft('set-up', () => ({
  code: '',
  shopName: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  ruleSetId: null as string | null,
  notation: suggested(),
  owner: { name: '', initials: '', signIn: '' },
}))
/** The password is not kept on the device with the rest. */
const password = ref('')
const { save, saving, errorAt, message } = useSave(setupInput)
const WAYS = [
  {
    key: 'mass',
    name: 'Weights',
    choices: [
      ['metric', 'g, kg'],
      ['us', 'oz, lb'],
    ],
  },
  {
    key: 'temperature',
    name: 'Temperatures',
    choices: [
      ['C', '°C'],
      ['F', '°F'],
    ],
  },
  {
    key: 'decimal',
    name: 'Decimals',
    choices: [
      ['.', '2.5'],
      [',', '2,5'],
    ],
  },
  {
    key: 'dates',
    name: 'Dates',
    choices: [
      ['dmy', '23 Nov'],
      ['mdy', 'Nov 23'],
      ['iso', '11-23'],
    ],
  },
] as const

async function open(): Promise<void> {
  const { owner, ...rest } = form.value
  if (!(await save('/api/setup', { ...rest, owner: { ...owner, password: password.value } }))) return
  clear()
  await session.load()
  await navigateTo('/')
}
onMounted(() => {
  // The code stands behind the #, where it reaches no server's log; and where start commands printed it once.
  const code = new URLSearchParams(route.hash.slice(1)).get('code') ?? route.query.code
  if (typeof code === 'string') form.value.code = code
})
</script>

<template>
  <form class="door stack" @submit.prevent="open">
    <div>
      <h1>Open the shop</h1>
      <p>
        The book starts here: name the shop, say whose law it stands under and where its clock hangs, and make the
        owner's account. What you type stays on this device until the shop is open, but for the password.
      </p>
    </div>
    <VTextField
      v-model="form.code"
      label="Code that the start command printed"
      autocomplete="off"
      autocapitalize="characters"
      :error-messages="errorAt('code')"
    />
    <VTextField v-model="form.shopName" label="Shop's name" :error-messages="errorAt('shopName')" />
    <VSelect
      v-model="form.ruleSetId"
      :items="laws"
      label="The law your shop stands under"
      :error-messages="errorAt('ruleSetId')"
    />
    <p class="caution">
      Verdicts go by these figures. Compare them with your authority's text before anything goes out: the shop asks you
      to. Your inspector and local code decide.
    </p>
    <VAutocomplete
      v-model="form.zone"
      :items="zones"
      label="Time zone"
      variant="filled"
      :error-messages="errorAt('zone')"
      hint="Cure days are counted by this clock."
      persistent-hint
    />
    <h2>How you write figures</h2>
    <div class="ways">
      <div v-for="way in WAYS" :key="way.key" class="way">
        <span :id="`way-${way.key}`">{{ way.name }}</span>
        <VBtnToggle v-model="form.notation[way.key]" mandatory variant="outlined" :aria-labelledby="`way-${way.key}`">
          <VBtn v-for="[value, words] in way.choices" :key="value" :value="value">
            {{
              words
            }}
          </VBtn>
        </VBtnToggle>
      </div>
    </div>
    <h2>Owner</h2>
    <VTextField
      v-model="form.owner.name"
      label="Full name"
      autocomplete="name"
      :error-messages="errorAt('owner.name')"
    />
    <VTextField
      v-model="form.owner.initials"
      label="Initials, as on the labels"
      maxlength="4"
      :error-messages="errorAt('owner.initials')"
    />
    <VTextField
      v-model="form.owner.signIn"
      label="Sign-in name"
      autocomplete="username"
      autocapitalize="none"
      :error-messages="errorAt('owner.signIn')"
    />
    <VTextField
      v-model="password"
      label="Password, 10 characters or more"
      type="password"
      autocomplete="new-password"
      :error-messages="errorAt('owner.password')"
    />
    <SaveProblem :message="message" />
    <VBtn type="submit" color="primary" :loading="saving">Open the shop</VBtn>
  </form>
</template>

<style scoped>
.door {
  max-width: 560px;
  margin: 4vh auto 0;
}
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.9rem 1.4rem;
}
.way {
  display: grid;
  gap: 0.25rem;
  color: var(--soft);
}
@media (--phone) {
  .ways {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
