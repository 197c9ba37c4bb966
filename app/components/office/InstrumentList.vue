<script setup lang="ts">
import { ref } from 'vue'
import type { InstrumentView } from '#shared/contracts/instruments'
import { METHOD_WORDS, STATE_WORDS } from '#shared/messages/instruments'
import InstrumentAdd from './InstrumentAdd.vue'
import InstrumentCheck from './InstrumentCheck.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'

/** Scales and thermometers: how fine, when checked, what was found. */
defineProps<{ instruments: InstrumentView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { grams, meat, temperature, offset, moment } = useNotation()
const open = ref<number | null>(null)
const adding = ref(false)
const readability = (one: InstrumentView) =>
  one.kind === 'scale' ? grams(one.readability, one.readability) : offset(one.readability).replace('+', '')
const figure = (one: InstrumentView, value: number) =>
  one.kind === 'thermometer' ? temperature(value) : one.readability < 1 ? grams(value, one.readability) : meat(value)
const TONES = { checked: 'good', overdue: 'watch', never: 'watch', failed: 'act' } as const
function done(): void {
  open.value = null
  adding.value = false
  emit('saved')
}
</script>

<template>
  <section class="stack-tight wide" aria-labelledby="instruments-head">
    <h2 id="instruments-head">Scales and thermometers</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Instrument</th>
            <th scope="col">For</th>
            <th scope="col" class="num">Reads to</th>
            <th scope="col" class="num">Offset taken off</th>
            <th scope="col">Stands</th>
            <th scope="col">Next check</th>
            <th scope="col"><span class="visually-hidden">Check</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="one in instruments" :key="one.id">
            <tr :class="{ soft: !one.inUse }">
              <td>
                <strong>{{ one.name }}</strong>
              </td>
              <td>{{ one.kind === 'thermometer' ? 'temperature' : one.purpose === 'meat' ? 'meat' : 'the cure' }}</td>
              <td class="num">{{ readability(one) }}</td>
              <td class="num">
                {{ one.kind === 'thermometer' ? (one.offsetC === 0 ? 'none' : offset(one.offsetC)) : '–' }}
              </td>
              <td>
                <StateMark :tone="one.inUse ? TONES[one.state] : 'plain'">
                  {{
                    one.inUse ? STATE_WORDS[one.state] : 'out of use'
                  }}
                </StateMark>
              </td>
              <td>{{ one.dueMs === null ? 'now' : moment(one.dueMs) }}</td>
              <td class="num">
                <VBtn
                  class="slim"
                  variant="outlined"
                  :aria-expanded="open === one.id"
                  @click="open = open === one.id ? null : one.id"
                >
                  {{ open === one.id ? 'Put aside' : 'Checks'
                  }}<span class="visually-hidden"> of {{ one.name }}</span>
                </VBtn>
              </td>
            </tr>
            <tr v-if="open === one.id">
              <td colspan="7">
                <InstrumentCheck :instrument="one" @saved="done" />
                <table v-if="one.checks.length" class="ruled past">
                  <thead>
                    <tr>
                      <th scope="col">When</th>
                      <th scope="col">Against</th>
                      <th scope="col" class="num">Should read</th>
                      <th scope="col" class="num">Read</th>
                      <th scope="col">Typed</th>
                      <th scope="col">Found</th>
                      <th scope="col">Who</th>
                      <th scope="col">Note</th>
                    </tr>
                  </thead>
                  <tbody>
                    <tr v-for="check in one.checks" :key="check.id">
                      <td>{{ moment(check.atMs) }}</td>
                      <td>{{ METHOD_WORDS[check.method] }}</td>
                      <td class="num">{{ figure(one, check.reference) }}</td>
                      <td class="num">{{ figure(one, check.read) }}</td>
                      <td class="soft">{{ check.typed }}</td>
                      <td>
                        <StateMark :tone="check.passed ? 'good' : 'act'">
                          {{
                            check.passed ? 'passed' : 'not passed'
                          }}
                        </StateMark><span v-if="check.offsetC" class="soft"> offset {{ offset(check.offsetC) }}</span>
                      </td>
                      <td>{{ check.by }}</td>
                      <td>{{ check.note }}</td>
                    </tr>
                  </tbody>
                </table>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <template v-if="session.isOwner">
      <div>
        <VBtn variant="outlined" @click="adding = !adding">
          {{
            adding ? 'Put aside' : 'Add an instrument'
          }}
        </VBtn>
      </div>
      <InstrumentAdd v-if="adding" @saved="done" />
    </template>
  </section>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.past {
  margin: 0.4rem 0 1rem 1.4rem;
  width: calc(100% - 1.4rem);
}
</style>
