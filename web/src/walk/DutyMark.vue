<script setup lang="ts">
import type { DutyKind, TaskStatus } from '@kobrin/core'
import { computed } from 'vue'
import { words } from '../words/en.ts'
import { t } from './words.ts'

const {
  does,
  status,
  daysOver = 0,
  name = '',
  sign = '',
  count = 1,
} = defineProps<{
  does: DutyKind
  status: TaskStatus
  daysOver?: number
  name?: string
  /** A second letter: another thing to do than the kind's usual. */
  sign?: string
  /** Duties of this kind in this state. */
  count?: number
}>()

const over = computed(() => (status === 'late' ? Math.floor(daysOver) : 0))
const says = computed(() => {
  const shown = { name: name || words.duty[does], state: words.status[status] }
  return status === 'late' ? t('lateBy', { ...shown, count: over.value }) : t('markIn', shown)
})
</script>

<template>
  <span
    class="mark"
    :class="[does, status, { many: count > 1, signed: sign !== '' }]"
    role="img"
    :aria-label="says"
    :title="says"
    >{{ words.dutyLetter[does] }}<span v-if="sign" class="sign">{{ sign }}</span
    ><span v-if="count > 1" class="times" aria-hidden="true">{{ count }}</span
    ><span v-if="over >= 1" class="count" aria-hidden="true">{{ over }}</span></span
  >
</template>

<style scoped>
/* The outline says which duty, the fill says the state. Plain boxes: a bay of 300 carries a thousand. */
.mark {
  display: inline-block;
  flex: none;
  width: 1.625rem;
  height: 1.625rem;
  border: 2px solid var(--ink);
  font: 700 0.8125rem/1.375rem var(--sans);
  text-align: center;
  print-color-adjust: exact;
}

.feed {
  border-radius: 50%;
}

.water {
  border-radius: 50% 50% 50% 3px;
}

.weigh {
  border-radius: 50% 50% 0 0;
}

.measure {
  border-radius: 0 60% 0 60%;
}

.look {
  width: 1.875rem;
  border-radius: 9px / 12px;
}

.read {
  border-radius: 50% 3px 50% 3px;
}

.dampen {
  border-radius: 0 0 50% 50%;
}

.many {
  width: 2.25rem;
}

.signed {
  width: 2rem;
}

.many.signed {
  width: 2.875rem;
}

.sign {
  font-size: 0.6875rem;
}

.many.feed:not(.done),
.signed.feed:not(.done) {
  border-radius: 13px;
}

.times {
  margin-left: 2px;
  padding-left: 3px;
  border-left: 1px solid currentcolor;
  font-size: 0.75rem;
}

.due {
  background: var(--ink);
  color: var(--paper);
}

.late {
  position: relative;
  border-color: var(--late);
  background: var(--late);
  color: var(--on-late);
}

.held {
  border-color: var(--held);
  border-style: dashed;
  color: var(--held);
}

.done {
  height: 1.5rem;
  margin-inline: 3px;
  width: 1.25rem;
  border-width: 0 0 2px;
  border-radius: 0;
  border-color: var(--done);
  color: var(--done);
}

.notYet {
  border-width: 0.0625rem;
  border-color: var(--edge);
  color: var(--soft);
  line-height: 1.5rem;
}

.count {
  position: absolute;
  top: -9px;
  right: -9px;
  min-width: 0.9375rem;
  padding: 0 2px;
  border: 1.5px solid var(--late);
  border-radius: 2px;
  background: var(--glass);
  color: var(--late);
  font: 700 0.6875rem/0.75rem var(--sans);
}

/* Where the system chooses the colors, the fill still tells what is due from what may be done, and late from both. */
@media (forced-colors: active) {
  .due,
  .late {
    background: CanvasText;
    color: Canvas;
    forced-color-adjust: none;
  }

  .late {
    outline: 2px solid Highlight;
    outline-offset: 2px;
  }

  .held {
    border-style: dashed;
  }
}
</style>
