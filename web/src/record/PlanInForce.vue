<script setup lang="ts">
import type { Plan, ResidentDay, Task } from '@kobrin/core'
import DutyMark from '../walk/DutyMark.vue'
import Because from '../words/Because.vue'
import { dutyName, sayOffering } from '../words/cell.ts'
import { sayTarget, sayZone } from '../words/care.ts'
import { saySource } from '../words/reasons.ts'
import { useTeller } from '../words/useTeller.ts'
import { sayDay } from '../words/numbers.ts'
import { useToday } from '../time/useToday.ts'
import { t } from './words.ts'
import { sayCadence } from '../words/cadence.ts'

const { plan, day } = defineProps<{ plan: Plan; day: ResidentDay }>()
const today = useToday()
const teller = useTeller()

function next(task: Task): string {
  if (task.status === 'done') return t('doneToday')
  return task.dueOn === null ? t('whenItComesUp') : t('due', { day: sayDay(task.dueOn, today.day) })
}
</script>

<template>
  <aside class="plan" :aria-label="t('planInForce')">
    <h2>{{ t('planInForce') }}</h2>
    <ul>
      <li v-for="task in day.tasks" :key="task.duty.id">
        <DutyMark
          :does="task.duty.does"
          :status="task.status"
          :days-over="task.daysOver"
          :name="task.duty.label ?? ''"
        />
        <div>
          <strong>{{ dutyName(task) }}, {{ sayCadence(task.duty.cadence) }}</strong>
          <p v-if="task.offering">{{ sayOffering(task.offering) }}</p>
          <p class="quiet">{{ saySource(task.duty.source, teller) }} {{ next(task) }}</p>
          <Because :reasons="task.because" :label="dutyName(task)" />
        </div>
      </li>
    </ul>
    <template v-if="plan.targets.length > 0">
      <h2>{{ t('climateWanted') }}</h2>
      <dl>
        <template v-for="target in plan.targets" :key="target.zone">
          <dt>{{ sayZone(target) }}</dt>
          <dd>{{ sayTarget(target) }}</dd>
        </template>
      </dl>
    </template>
    <template v-if="plan.cautions.length > 0">
      <h2>{{ t('careful') }}</h2>
      <p v-for="caution in plan.cautions" :key="caution">{{ caution }}</p>
      <p class="quiet">{{ t('localLawTheVet') }}</p>
    </template>
  </aside>
</template>

<style scoped>
.plan {
  display: grid;
  align-content: start;
  gap: 8px;
}

li {
  display: grid;
  grid-template-columns: 30px 1fr;
  gap: 8px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

li p {
  font-size: 0.875rem;
}

dl {
  border-bottom: 1px solid var(--line);
}

dt,
dd {
  border-top: 1px solid var(--line);
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
}

dt,
dd {
  padding: 6px 0;
}

dd {
  display: grid;
  font-weight: 700;
  text-align: right;
}
</style>
