<script setup lang="ts">
import { may } from '@kobrin/contract'
import type { Severity } from '@kobrin/core'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { sayDoubt, sayDoubted, withUnit } from '../words/doubts.ts'
import { terms } from '../words/terms.ts'
import FormFields from './FormFields.vue'
import type { useException } from './useException.ts'

const { saying } = defineProps<{ saying: ReturnType<typeof useException> }>()
const { open, ask, typed, answers, complaint, question, exceptions } = saying

const people = usePeople()
const today = useToday()
/** A rest against what speaks against it is for those who answer for it. */
const mayInsist = computed(() => may(people.role, 'signPlans') || people.role === 'vet')

const panel = useTemplateRef<HTMLElement>('panel')
const SEVERITIES: readonly Severity[] = ['info', 'watch', 'act', 'urgent']

watch([ask, question], async () => {
  await nextTick()
  if (!ask.value) return
  const first = question.value ? '[data-first]' : 'input, textarea, select, .grid button'
  panel.value?.querySelector<HTMLElement>(first)?.focus()
})

function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'Escape' && ask.value) {
    event.stopPropagation()
    if (question.value) saying.typeAgain()
    else saying.reset()
  } else if (ask.value?.type === 'choice' && saying.option(event.key)) event.preventDefault()
}
</script>

<template>
  <div ref="panel" class="say" @keydown="onKey">
    <ul v-if="!open || !ask" class="grid">
      <li v-for="exception in exceptions" :key="exception.id">
        <button type="button" class="choice" @click="saying.choose(exception)">
          <span>{{ exception.label }}</span><kbd>{{ exception.key }}</kbd>
        </button>
      </li>
    </ul>
    <template v-else>
      <div class="head">
        <h3>{{ open.label }}</h3>
        <button type="button" class="plain" @click="saying.reset()">Back</button>
      </div>
      <ul v-if="ask.type === 'choice'" class="grid">
        <li v-for="one in ask.options" :key="one.key">
          <button type="button" class="choice" @click="saying.option(one.key)">
            <span>{{ one.label }}</span><kbd>{{ one.key }}</kbd>
          </button>
        </li>
      </ul>
      <form v-else @submit.prevent="saying.submit()">
        <label v-if="ask.type === 'number'">
          {{ ask.label }}, {{ ask.unit }}
          <input
            v-model="typed"
            class="field number"
            inputmode="decimal"
            autocomplete="off"
            enterkeyhint="done"
          />
        </label>
        <label v-else-if="ask.type === 'text' || ask.type === 'graded'">
          {{ ask.prompt }}
          <textarea v-model="typed" class="field" rows="3" maxlength="4000" />
        </label>
        <FormFields
          v-else-if="ask.type === 'form'"
          :fields="ask.fields"
          :answers="answers"
          @answer="saying.answer"
        />
        <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
        <div v-if="question" class="question" role="alertdialog" aria-label="Is this right?">
          <p>{{ sayDoubt(question.doubt, today.day) }}</p>
          <template v-if="question.doubt.code === 'restUnfit'">
            <button data-first type="button" class="primary" @click="saying.reset()">Leave it awake</button>
            <button v-if="mayInsist" type="button" class="plain" @click="saying.insist()">
              Rest all the same, on my name
            </button>
            <p v-else class="quiet">A senior or the vet may decide otherwise.</p>
          </template>
          <button v-else data-first type="button" class="primary" @click="saying.typeAgain()">
            Type it again
          </button>
          <button
            v-if="question.doubt.code === 'slippedDecimal'"
            type="button"
            class="plain"
            @click="saying.takeInstead(question.doubt.instead)"
          >
            I meant {{ withUnit(question.doubt.instead, question.doubt.unit) }}
          </button>
          <button
            v-if="question.doubt.code !== 'restUnfit'"
            type="button"
            class="plain"
            @click="saying.insist()"
          >
            Looked again: it is {{ sayDoubted(question.doubt) }}
          </button>
        </div>
        <div v-else-if="ask.type === 'graded'" class="grave">
          <button
            v-for="severity in SEVERITIES"
            :key="severity"
            type="button"
            class="plain"
            :class="{ urgent: severity === 'urgent' }"
            @click="saying.submit(severity)"
          >
            {{ terms.severity[severity] }}
          </button>
          <p class="quiet">
            Noisy breathing, prolapse, straining, twitching, a wound or collapse: the vet comes first.
          </p>
        </div>
        <button v-else type="submit" class="primary">Keep</button>
      </form>
    </template>
  </div>
</template>

<style scoped>
.grid,
.grave {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 7px;
}

.choice {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  width: 100%;
  min-height: 46px;
  padding: 5px 8px;
  border: 1px solid var(--control-line);
  border-radius: 4px;
  background: var(--glass);
  font-size: 14px;
  line-height: 1.2;
  text-align: left;
}

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}

form {
  display: grid;
  gap: 8px;
}

.number {
  font-size: 22px;
  font-weight: 700;
}

.question {
  display: grid;
  gap: 7px;
  padding: 10px;
  border: 3px double var(--late);
}

.complaint {
  color: var(--late);
  font-weight: 600;
}

.grave p {
  grid-column: 1 / -1;
  font-size: 13px;
}

.urgent {
  border: 3px solid var(--late);
}
</style>
