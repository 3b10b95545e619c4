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
import { t } from './words.ts'

const emit = defineEmits<{ find: []; waiting: [] }>()
const record = useRecord()
const today = useToday()
const { theme, set } = useTheme()
const { waits, take } = useNewVersion()

function heldSays(count: number): string {
  return count > 0 ? t('waitingCannotWrite', { count }) : t('cannotWrite')
}

function cutSays(time: string | null, count: number): string {
  const state = time === null ? t('noLink') : t('noLinkSince', { time })
  return count > 0 ? t('andWaiting', { state, count }) : state
}

/** What keeps entries from being kept; empty where nothing does. */
function troubleNow(): string {
  if (record.unstored > 0) return t('unstored', { count: record.unstored })
  if (record.refused.length > 0) return t('couldNotBeKept2', { count: record.refused.length })
  if (record.held !== '') return heldSays(record.waitingCount)
  if (record.linked) return ''
  return cutSays(record.cutSince ? today.clock(record.cutSince) : null, record.waitingCount)
}

function sendStateNow(): string {
  return record.waitingCount > 0 ? t('waiting', { count: record.waitingCount }) : words.allSent
}

/** What has to be heard: that something waits for a second is not. */
const trouble = useAfterPaint(troubleNow)
const sendState = useAfterPaint(() => troubleNow() || sendStateNow())
const troubled = computed(() => sendState.value !== words.allSent)
</script>

<template>
  <div class="tools">
    <Button v-if="waits" class="newer" @click="take()">{{ t('newVersionTakeIt') }}</Button>
    <Button severity="secondary" class="find" @click="emit('find')">{{ t('find') }} <kbd>/</kbd></Button>
    <Button severity="secondary" class="state" :class="{ troubled }" @click="emit('waiting')">
      {{ sendState }}
    </Button>
    <span class="hidden-text" role="status">{{ trouble }}</span>
    <Button
      severity="secondary"
      :aria-label="theme === 'day' ? t('themeDay') : t('themeDim')"
      @click="set(theme === 'day' ? 'dim' : 'day')"
    >
      <span
        ><component :is="theme === 'day' ? 'strong' : 'span'">{{ t('day') }}</component> /
        <component :is="theme === 'dim' ? 'strong' : 'span'">{{ t('dim') }}</component></span
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
