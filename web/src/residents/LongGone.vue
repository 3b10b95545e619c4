<script setup lang="ts">
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { sayError } from '../app/sayError.ts'
import { useRecord } from '../entries/useRecord.ts'
import Wrong from '../fields/Wrong.vue'
import { useSite } from '../site/useSite.ts'
import { t } from './words.ts'

/** Those that are long gone are not on this device; they are fetched when someone looks for one. */
const site = useSite()
const record = useRecord()
const complaint = shallowRef('')
const count = computed(
  () => Object.keys(site.site?.numbers ?? {}).filter((id) => !site.residents.has(id)).length,
)

async function look(): Promise<void> {
  complaint.value = ''
  try {
    await record.needClosed()
  } catch (error) {
    complaint.value = sayError(error)
  }
}
</script>

<template>
  <div v-if="count > 0" class="no-print">
    <Button variant="link" class="link" @click="look">{{ t('longGoneToo', { count }) }}</Button>
    <Wrong :says="complaint" />
  </div>
</template>
