<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { navigateTo, useRoute } from '#imports'
import { signInInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const session = useSession()
const route = useRoute()
const REMEMBERED = 'veldmoor-station'
/** What this device was called last time. */
const form = reactive({
  signIn: '',
  password: '',
  code: '',
  shared: false,
  station: localStorage.getItem(REMEMBERED) ?? '',
})
const { save, saving, problem, errorAt, message } = useSave(signInInput)
/** Asked for once the password was right, and from then on. */
const asksCode = ref(false)
watch(problem, (found) => {
  if (found?.code === 'code_needed' || found?.code === 'code_wrong') asksCode.value = true
})

function signInAs(name: string): void {
  form.signIn = name
  form.password = 'bacon-and-brine'
}
async function enter(): Promise<void> {
  const { station, code, ...rest } = form
  const body = { ...rest, code: code.trim() || null }
  if (!(await save('/api/session', form.shared ? { ...body, station } : body))) return
  if (form.shared) localStorage.setItem(REMEMBERED, station)
  await session.load()
  const then = String(route.query.then ?? '/')
  // Only a path of ours: "//elsewhere" is another site.
  await navigateTo(/^\/(?!\/)/.test(then) ? then : '/')
}
</script>

<template>
  <form class="door stack" @submit.prevent="enter">
    <div>
      <h1>Veldmoor</h1>
      <p class="soft">{{ session.view?.shopName }}</p>
    </div>
    <VTextField
      v-model="form.signIn"
      label="Name"
      autocomplete="username"
      autocapitalize="none"
      autofocus
      :error-messages="errorAt('signIn')"
    />
    <VTextField
      v-model="form.password"
      label="Password"
      type="password"
      autocomplete="current-password"
      :error-messages="errorAt('password')"
    />
    <VTextField
      v-if="asksCode"
      v-model="form.code"
      label="Code from your phone, or a recovery code"
      inputmode="text"
      autocomplete="one-time-code"
      autofocus
      :error-messages="errorAt('code')"
    />
    <VCheckbox
      v-model="form.shared"
      label="This is a shared tablet: each record is signed with a PIN"
      hide-details
      class="shared"
    />
    <VTextField
      v-if="form.shared"
      v-model="form.station"
      label="What the tablet is called"
      placeholder="Cold-room tablet"
      maxlength="60"
      :error-messages="errorAt('station')"
    />
    <SaveProblem
      :message="message"
      :calm="problem?.code === 'code_needed'"
      :lead="problem?.code === 'code_needed' ? 'One thing more.' : 'Not signed in.'"
    />
    <VBtn type="submit" color="primary" :loading="saving">Sign in</VBtn>
    <div v-if="session.view?.demoSignIns" class="caution calm">
      <strong>Demo shop.</strong> Sign in as
      <span v-for="(person, i) in session.view.demoSignIns" :key="person.signIn">{{ i ? ', ' : ' '
      }}<button
        type="button"
        class="as plain"
        @click="signInAs(person.signIn)"
      >
        {{ person.signIn }}
      </button>
        ({{ person.role }})</span>; the password is <span class="code">bacon-and-brine</span>.
    </div>
    <p class="small soft">
      An aid for people who know the trade. It does not replace your inspector, your process authority or local code.
    </p>
  </form>
</template>

<style scoped>
.door {
  max-width: 430px;
  margin: 9vh auto 0;
}
h1 {
  font-size: 3rem;
}
.shared :deep(.v-label) {
  opacity: 1;
  color: var(--peat);
  white-space: normal;
}
.as {
  font: inherit;
  font-weight: 700;
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
}
</style>
