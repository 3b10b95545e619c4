<script setup lang="ts">
import { may } from '@kobrin/contract'
import type { Severity } from '@kobrin/core'
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { sayDoubt, sayDoubted, withUnit } from '../words/doubts.ts'
import { terms } from '../words/terms.ts'
import NumberField from '../fields/NumberField.vue'
import { readSigned, sayTyped } from '../fields/readSigned.ts'
import TextField from '../fields/TextField.vue'
import WhenField from '../time/WhenField.vue'
import Wrong from '../fields/Wrong.vue'
import FormFields from './FormFields.vue'
import type { useException } from './useException.ts'
import { t } from './words.ts'

const { saying } = defineProps<{ saying: ReturnType<typeof useException> }>()
const { open, ask, typed, answers, complaint, question, exceptions, when } = saying

const people = usePeople()
const today = useToday()
/** A rest against what speaks against it is for those who answer for it. */
const mayInsist = computed(() => may(people.role, 'signPlans') || people.role === 'vet')

const panel = useTemplateRef<HTMLElement>('panel')
const SEVERITIES: readonly Severity[] = ['info', 'watch', 'act', 'urgent']

watch([ask, question], async () => {
  await nextTick()
  if (!ask.value) return
  // When it was is said only by the person who reaches for it.
  const first = question.value
    ? '[data-first]'
    : ':is(.asked, .grid) :is(input, textarea, [role="combobox"], .choice)'
  panel.value?.querySelector<HTMLElement>(first)?.focus()
})

function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'Escape' && ask.value) {
    // A list that hangs open goes first.
    if (event.target instanceof Element && event.target.matches('[aria-expanded="true"]')) return
    event.stopPropagation()
    if (question.value) saying.typeAgain()
    else saying.reset()
  } else if (ask.value?.type === 'choice' && saying.option(event.key)) event.preventDefault()
}
</script>

<template>
  <div ref="panel" class="say" @keydown.capture="onKey">
    <WhenField v-model="when" class="when" />
    <ul v-if="!open || !ask" class="grid">
      <li v-for="exception in exceptions" :key="exception.id">
        <Button severity="secondary" class="choice" @click="saying.choose(exception)">
          <span
            >{{ exception.label
            }}<small v-if="saying.isBegun(exception)" class="quiet">{{ ` · ${t('begun')}` }}</small></span
          ><kbd>{{ exception.key }}</kbd>
        </Button>
      </li>
    </ul>
    <template v-else>
      <div class="head">
        <h3>{{ open.label }}</h3>
        <Button severity="secondary" @click="saying.reset()">{{ t('back') }}</Button>
      </div>
      <ul v-if="ask.type === 'choice'" class="grid">
        <li v-for="one in ask.options" :key="one.key">
          <Button severity="secondary" class="choice" @click="saying.option(one.key)">
            <span>{{ one.label }}</span><kbd>{{ one.key }}</kbd>
          </Button>
        </li>
      </ul>
      <Form v-else class="asked" @submit="saying.submit()">
        <NumberField
          v-if="ask.type === 'number'"
          :label="ask.label"
          :unit="ask.unit"
          :model-value="readSigned(typed)"
          enterkeyhint="done"
          @update:model-value="(value) => (typed = sayTyped(value))"
        />
        <TextField
          v-else-if="ask.type === 'text' || ask.type === 'graded'"
          v-model="typed"
          :label="ask.prompt"
          :lines="3"
          maxlength="4000"
        />
        <FormFields
          v-else-if="ask.type === 'form'"
          :fields="ask.fields"
          :answers="answers"
          :complaint="complaint"
          @answer="saying.answer"
        />
        <Wrong v-if="complaint?.field === undefined" :says="complaint?.complaint" />
        <div v-if="question" class="question" role="alertdialog" :aria-label="t('isThisRight')">
          <p>{{ sayDoubt(question.doubt, today.day) }}</p>
          <template v-if="question.doubt.code === 'restUnfit'">
            <Button data-first @click="saying.reset()">{{ t('leaveItAwake') }}</Button>
            <Button v-if="mayInsist" severity="secondary" @click="saying.insist()">
              {{ t('restAllTheSame') }}
            </Button>
            <p v-else class="quiet">{{ t('aSeniorOrThe') }}</p>
          </template>
          <Button v-else data-first @click="saying.typeAgain()"> {{ t('typeItAgain') }} </Button>
          <Button
            v-if="question.doubt.code === 'slippedDecimal'"
            severity="secondary"
            @click="saying.takeInstead(question.doubt.instead)"
          >
            {{ t('iMeant', { instead: withUnit(question.doubt.instead, question.doubt.unit) }) }}
          </Button>
          <Button v-if="question.doubt.code !== 'restUnfit'" severity="secondary" @click="saying.insist()">
            {{ t('lookedAgainItIs', { doubted: sayDoubted(question.doubt) }) }}
          </Button>
        </div>
        <div v-else-if="ask.type === 'graded'" class="grave">
          <Button
            v-for="severity in SEVERITIES"
            :key="severity"
            severity="secondary"
            :class="{ urgent: severity === 'urgent' }"
            @click="saying.submit(severity)"
          >
            {{ terms.severity[severity] }}
          </Button>
          <p class="quiet">
            {{ t('noisyBreathingProlapseStraining') }}
          </p>
        </div>
        <Button v-else type="submit">{{ t('keep') }}</Button>
      </Form>
    </template>
  </div>
</template>

<style scoped>
.when {
  margin-bottom: 7px;
}

/* Beside its name: what can be said comes before when. */
.when :deep(.labelled) {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
}

.grid,
.grave {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 7px;
}

.choice {
  justify-content: space-between;
  width: 100%;
  min-height: 46px;
  padding: 5px 8px;
  font-size: 0.875rem;
  font-weight: 400;
  line-height: 1.2;
  text-align: left;
}

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}

.asked {
  display: grid;
  gap: 8px;
}

.question {
  display: grid;
  gap: 7px;
  padding: 10px;
  border: 3px double var(--late);
}

.grave p {
  grid-column: 1 / -1;
  font-size: 0.8125rem;
}

.urgent {
  border: 3px solid var(--late);
}
</style>
