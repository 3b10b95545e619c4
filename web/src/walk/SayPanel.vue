<script setup lang="ts">
import type { Severity } from '@kobrin/core'
import { nextTick, useTemplateRef, watch } from 'vue'
import { sayDoubt, withUnit } from '../words/doubts.ts'
import { words } from '../words/en.ts'
import type { useSaying } from './useSaying.ts'

const { saying } = defineProps<{ saying: ReturnType<typeof useSaying> }>()
const { open, typed, complaint, question, exceptions } = saying

const field = useTemplateRef<HTMLInputElement | HTMLTextAreaElement>('field')
const panel = useTemplateRef<HTMLElement>('panel')
const SEVERITIES: readonly Severity[] = ['info', 'watch', 'act', 'urgent']

watch([open, question], async () => {
  await nextTick()
  if (question.value) panel.value?.querySelector<HTMLElement>('[data-first]')?.focus()
  else if (field.value) field.value.focus()
  else if (open.value) panel.value?.querySelector<HTMLElement>('button')?.focus()
})

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape') {
    event.stopPropagation()
    if (question.value) saying.typeAgain()
    else saying.reset()
  } else if (open.value?.ask.type === 'choice' && !event.ctrlKey && !event.metaKey) {
    saying.option(event.key)
  }
}
</script>

<template>
  <div ref="panel" class="say" @keydown="onKey">
    <ul v-if="!open" class="grid">
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
      <ul v-if="open.ask.type === 'choice'" class="grid">
        <li v-for="one in open.ask.options" :key="one.key">
          <button type="button" class="choice" @click="saying.option(one.key)">
            <span>{{ one.label }}</span><kbd>{{ one.key }}</kbd>
          </button>
        </li>
      </ul>
      <form v-else-if="open.ask.type === 'number'" @submit.prevent="saying.submitNumber()">
        <label>
          {{ open.label }}, {{ open.ask.unit }}
          <input
            ref="field"
            v-model="typed"
            class="field number"
            inputmode="decimal"
            autocomplete="off"
            enterkeyhint="done"
          />
        </label>
        <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
        <div v-if="question" class="question" role="alertdialog" aria-label="Is this right?">
          <p>{{ sayDoubt(question.doubt) }}</p>
          <button data-first type="button" class="primary" @click="saying.typeAgain()">Type it again</button>
          <button
            v-if="question.doubt.code === 'slippedDecimal'"
            type="button"
            class="plain"
            @click="saying.takeInstead(question.doubt.instead)"
          >
            I meant {{ withUnit(question.doubt.instead, question.doubt.unit) }}
          </button>
          <button type="button" class="plain" @click="saying.insist()">
            Looked again: it is {{ withUnit(question.doubt.value, question.doubt.unit) }}
          </button>
        </div>
        <button v-else type="submit" class="primary">Keep</button>
      </form>
      <form v-else-if="open.ask.type === 'text'" @submit.prevent="saying.submitText()">
        <label>
          {{ open.ask.prompt }}
          <textarea ref="field" v-model="typed" class="field" rows="3" maxlength="4000" />
        </label>
        <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
        <div v-if="open.ask.severity" class="grave">
          <button
            v-for="severity in SEVERITIES"
            :key="severity"
            type="button"
            class="plain"
            :class="{ urgent: severity === 'urgent' }"
            @click="saying.submitText(severity)"
          >
            {{ words.severity[severity] }}
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
