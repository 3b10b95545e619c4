<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useNewVersion } from '../kept/useNewVersion.ts'
import PersonMenu from '../people/PersonMenu.vue'
import { useToday } from '../time/useToday.ts'
import { words } from '../words/en.ts'
import { useAfterPaint } from './useAfterPaint.ts'
import { useTheme } from './useTheme.ts'

const emit = defineEmits<{ find: []; waiting: [] }>()
const record = useRecord()
const today = useToday()
const { theme, set } = useTheme()
const { waits, take } = useNewVersion()

const sendState = useAfterPaint(() => {
  if (record.unstored > 0) return words.unstored(record.unstored)
  if (record.refused.length > 0) return `${record.refused.length} could not be kept`
  if (record.held !== '') return words.held(record.waitingCount)
  if (!record.linked)
    return words.cutOff(record.cutSince ? today.clock(record.cutSince) : '', record.waitingCount)
  return record.waitingCount > 0 ? words.waiting(record.waitingCount) : words.allSent
})
const troubled = computed(() => sendState.value !== words.allSent)
/** What has to be heard: that something waits for a second is not. */
const trouble = computed(() =>
  record.linked && record.unstored === 0 && record.refused.length === 0 && record.held === ''
    ? ''
    : sendState.value,
)
</script>

<template>
  <div class="tools">
    <Button v-if="waits" class="newer" @click="take()">New version: take it now</Button>
    <Button severity="secondary" class="find" @click="emit('find')">Find <kbd>/</kbd></Button>
    <Button severity="secondary" class="state" :class="{ troubled }" @click="emit('waiting')">
      {{ sendState }}
    </Button>
    <span class="hidden-text" role="status">{{ trouble }}</span>
    <Button
      severity="secondary"
      :aria-label="`Theme: ${theme}. Switch to ${theme === 'day' ? 'dim' : 'day'}`"
      @click="set(theme === 'day' ? 'dim' : 'day')"
    >
      <span
        ><component :is="theme === 'day' ? 'strong' : 'span'">Day</component> /
        <component :is="theme === 'dim' ? 'strong' : 'span'">Dim</component></span
      >
    </Button>
    <PersonMenu @leave="record.close()" />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex: none;
  gap: 8px;
  margin-left: auto;
}

.tools > * {
  font-weight: 400;
}

.tools .troubled {
  border-color: var(--focus);
  color: var(--focus);
  font-weight: 700;
}

@media (max-width: 899px) {
  kbd {
    display: none;
  }

  .tools > * {
    padding: 6px 8px;
  }
}
</style>
