<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import { terms } from '../words/terms.ts'
import type { Described } from './description.ts'
import { t } from './words.ts'

/** What somebody is told by besides its name, in a form whose errors stand under `described`. */
const origin = defineModel<Described['origin']>('origin', { required: true })
const marks = defineModel<string>('marks', { required: true })
const chip = defineModel<string>('chip', { required: true })
const pale = defineModel<boolean>('pale', { required: true })
const ORIGINS = choicesOf(terms.origin)
</script>

<template>
  <ChoiceField v-model="origin" :label="t('origin')" :options="ORIGINS" />
  <TextField v-model="marks" name="described.marks" :label="t('marks')" maxlength="400" />
  <TextField v-model="chip" name="described.chip" :label="t('chip')" maxlength="40" />
  <TickField v-model="pale" :label="t('pale')" />
</template>
