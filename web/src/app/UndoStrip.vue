<script setup lang="ts">
import { Undo2 } from '@lucide/vue'
import Button from 'primevue/button'
import { useRecord } from '../entries/useRecord.ts'
import { words } from '../words/en.ts'
import { useAfterPaint } from './useAfterPaint.ts'

const record = useRecord()
const last = useAfterPaint(() => record.lastAct)
</script>

<template>
  <div v-if="last" class="undo no-print" role="status">
    <span>{{ last.says }}</span>
    <Button class="back" variant="link" @click="record.takeBack()"
      ><Undo2 :size="18" />{{ words.takeBack }}</Button
    >
  </div>
</template>

<style scoped>
.undo {
  display: flex;
  flex: none;
  align-items: center;
  gap: 10px;
  max-width: 420px;
  padding: 0 4px 0 12px;
  border-radius: 3px;
  background: var(--ink);
  color: var(--paper);
}

span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.back {
  flex: none;
  min-height: 36px;
  padding: 0 8px;
  color: inherit;
}

:focus-visible {
  outline-color: var(--paper);
  outline-offset: -3px;
}

@media (max-width: 899px) {
  .undo {
    max-width: 100%;
    width: 100%;
    justify-content: space-between;
  }

  .back {
    min-height: 44px;
  }
}
</style>
