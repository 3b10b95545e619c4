<script setup lang="ts">
import type { Reason, Verdict } from '@kobrin/core'
import Button from 'primevue/button'
import Popover from 'primevue/popover'
import { defineAsyncComponent, nextTick, shallowRef, useId, useTemplateRef } from 'vue'
import { usePrinting } from '../app/usePrinting.ts'
import { terms } from './terms.ts'

const { reasons, label, verdict, residentId } = defineProps<{
  reasons: readonly Reason[]
  label: string
  /** What the reasons are of: said with what to do next and what clears it. */
  verdict?: Verdict
  /** On whom the verdict is. */
  residentId?: string
}>()
/** All that may ever be said as a reason is fetched with the first that is asked for. */
const ReasonList = defineAsyncComponent(() => import('./ReasonList.vue'))
const over = useTemplateRef<{ toggle: (event: Pick<Event, 'currentTarget'>) => void }>('over')
/** Made when it is first asked for: a list of thousands has one in each line. */
const wanted = shallowRef(false)
/** On paper nothing can be opened. */
const printing = usePrinting()
const isOpen = shallowRef(false)
const id = useId()

async function toggle({ currentTarget }: Event): Promise<void> {
  wanted.value = true
  await nextTick()
  over.value?.toggle({ currentTarget })
}
</script>

<template>
  <Button
    variant="link"
    class="because no-print"
    :aria-label="`${terms.because}: ${label}`"
    aria-haspopup="dialog"
    :aria-expanded="isOpen"
    :aria-controls="isOpen ? id : undefined"
    @click="toggle"
    >{{ terms.because }}</Button
  >
  <ReasonList v-if="printing" :reasons="reasons" :label="label" />
  <Popover v-if="wanted" ref="over" :aria-label="label" @show="isOpen = true" @hide="isOpen = false">
    <ReasonList :id="id" :reasons="reasons" :label="label" :verdict="verdict" :resident-id="residentId" />
  </Popover>
</template>

<style scoped>
.because {
  align-self: start;
  min-height: 24px;
  padding: 0;
  font-size: 0.8438rem;
  font-weight: 400;
  text-decoration: underline;
  text-underline-offset: 3px;
}

strong + .because {
  margin-left: 6px;
}
</style>
