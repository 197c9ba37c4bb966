<script setup lang="ts">
import type { DeviceView } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const session = useSession()
defineProps<{ devices: DeviceView[] }>()
const emit = defineEmits<{ saved: [] }>()
const { moment } = useNotation()
const { say } = useNotice()
const { save, saving, message } = useSave()
async function end(device: DeviceView): Promise<void> {
  if (!(await save(device.own ? `/api/me/devices/${device.id}/end` : `/api/office/devices/${device.id}/end`, {})))
    return
  say(`${device.station} is signed out.`)
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="devices-head">
    <h2 id="devices-head">{{ session.isOwner ? 'Signed-in devices' : 'My signed-in devices' }}</h2>
    <div class="scroll-x" tabindex="0" role="group" aria-label="Signed-in devices, scroll sideways">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Device</th>
            <th scope="col">Opened by</th>
            <th scope="col">Since</th>
            <th scope="col">Until</th>
            <th scope="col"><span class="visually-hidden">Sign out</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="device in devices" :key="device.id">
            <td>{{ device.station }}<span v-if="device.shared" class="soft">, shared</span></td>
            <td>{{ device.who }}</td>
            <td>{{ moment(device.startedAtMs) }}</td>
            <td>{{ moment(device.endsAtMs) }}</td>
            <td>
              <span v-if="device.thisOne" class="soft">this one</span><VBtn
                v-else
                class="slim"
                variant="outlined"
                :loading="saving"
                :aria-label="`Sign out ${device.station}, ${device.who}`"
                @click="end(device)"
              >
                Sign out
              </VBtn>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <SaveProblem :message="message" />
  </section>
</template>
