<script setup lang="ts">
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import { navigateTo } from '#imports'
import { mdiKeyboardOutline, mdiMagnify, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { readCode } from '#core/trace/code'
import StationMark from './StationMark.vue'
import { findPages } from '~/logic/find-page'
import { forgetDrafts } from '~/composables/use-draft'
import { useSession } from '~/stores/session'

const night = defineModel<boolean>('night', { required: true })
const emit = defineEmits<{ keys: [] }>()
const session = useSession()
const find = ref('')
const wrong = ref(false)
const pages = computed(() =>
  readCode(find.value) ? [] : findPages(find.value, { own: !session.view?.station?.shared }),
)
/** Where the found page is, and nothing typed any more. */
async function open(to: string): Promise<void> {
  find.value = ''
  await navigateTo(to)
}

async function go(): Promise<void> {
  const found = readCode(find.value)
  const [page] = pages.value
  if (page) return await open(page.to)
  wrong.value = found === null && find.value.trim() !== ''
  if (!found) return
  find.value = ''
  await navigateTo(
    found.kind === 'lot'
      ? `/lots/${found.code}`
      : found.kind === 'run'
        ? `/runs/${found.code}`
        : `/ledger?code=${found.code}`,
  )
}
async function leave(): Promise<void> {
  const { shared } = session.view?.station ?? {}
  await session.leave()
  if (shared) forgetDrafts()
  await navigateTo('/sign-in')
}
</script>

<template>
  <header class="shell-head">
    <NuxtLink to="/" class="mark" aria-label="Veldmoor, Today">Veldmoor</NuxtLink>
    <span class="shop">{{ session.view?.shopName }}</span>
    <form class="find" role="search" @submit.prevent="go">
      <VIcon :icon="mdiMagnify" size="20" />
      <label class="visually-hidden" for="find-code">Find by code, or a page by its name</label>
      <input
        id="find-code"
        v-model="find"
        autocomplete="off"
        placeholder="Code, or a page"
        :aria-invalid="wrong"
        aria-describedby="find-wrong"
        @input="wrong = false"
      />
      <span id="find-wrong" class="wrong" role="status">{{ wrong ? 'Neither a code, like L-0042, nor a page.' : '' }}</span>
      <ul v-if="pages.length" class="found" aria-label="Pages found">
        <li v-for="page in pages" :key="page.to">
          <a :href="page.to" @click.prevent="open(page.to)">
            {{ page.name }}<small v-if="page.holds" class="soft">{{ page.holds }}</small>
          </a>
        </li>
      </ul>
    </form>
    <VBtn class="keys-button" variant="text" :icon="mdiKeyboardOutline" aria-label="Keys" @click="emit('keys')" />
    <VBtn
      variant="text"
      :icon="night ? mdiWhiteBalanceSunny : mdiWeatherNight"
      :aria-label="night ? 'Day colours' : 'Night colours'"
      @click="night = !night"
    />
    <StationMark />
    <VMenu>
      <template #activator="{ props }">
        <VBtn
          v-bind="props"
          variant="text"
          class="slim who"
          :aria-label="`${session.user?.initials}: ${session.user?.name}, ${session.user?.role}`"
        >
          {{ session.user?.initials }}
        </VBtn>
      </template>
      <VList>
        <VListItem :title="session.user?.name" :subtitle="session.user?.role" />
        <template v-if="!session.view?.station?.shared">
          <VListItem title="How I write figures" @click="navigateTo('/office/mine#notation')" />
          <VListItem title="My password and PIN" @click="navigateTo('/office/mine#account')" />
        </template>
        <VListItem :title="session.view?.station?.shared ? 'Close this tablet' : 'Sign out'" @click="leave" />
      </VList>
    </VMenu>
  </header>
</template>

<style scoped>
.shell-head {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  padding: 0.55rem 1.5rem 0.45rem;
  max-width: 1320px;
  margin: 0 auto;
}
.mark {
  font: 700 1.55rem/1 var(--slab);
  text-decoration: none;
  letter-spacing: -0.01em;
}
.shop {
  color: var(--soft);
  padding-left: 0.75rem;
  border-left: 1px solid var(--hair-strong);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.find {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 0.45rem;
  border-bottom: 2px solid var(--hair-strong);
  padding: 0.2rem 0.2rem;
  position: relative;
}
.find:focus-within {
  border-color: var(--heather);
}
.find input {
  font-family: var(--mono);
  width: 12.5rem;
  min-height: 40px;
  background: none;
  border: 0;
  outline: none;
  color: inherit;
}
.find input::placeholder {
  font-family: var(--sans);
  color: var(--soft);
  opacity: 1;
}
.wrong:not(:empty) {
  position: absolute;
  top: 100%;
  right: 0;
  background: var(--ember-wash);
  color: var(--peat);
  padding: 0.2rem 0.5rem;
  font-size: 0.85rem;
  z-index: 3;
}
.found {
  position: absolute;
  top: 100%;
  right: 0;
  z-index: 4;
  width: max(100%, 17rem);
  max-width: calc(100vw - 1rem);
  margin: 0;
  padding: 0;
  list-style: none;
  background: var(--bone);
  border: 2.5px solid var(--peat);
}
.found a {
  display: grid;
  min-height: 56px;
  align-content: center;
  padding: 0.3rem 0.8rem;
  text-decoration: none;
  font-weight: 600;
}
.found li:first-child a,
.found a:hover {
  background: var(--sheet);
}
.found small {
  font-weight: 400;
}
.who {
  font-weight: 700;
}
@media (--tablet) {
  .shop,
  .keys-button {
    display: none;
  }
  .shell-head {
    padding: 0.4rem 0.9rem;
    gap: 0.3rem;
  }
  .find {
    flex: 1;
    min-width: 0;
    max-width: 20rem;
  }
  .find input {
    width: 100%;
    min-width: 0;
    font-size: 0.9rem;
  }
}
@media (--phone) {
  .mark {
    font-size: 1.25rem;
  }
  .who {
    min-width: 44px;
    padding: 0 0.3rem;
  }
}
</style>
