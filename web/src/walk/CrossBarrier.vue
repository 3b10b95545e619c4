<script setup lang="ts">
import type { Barrier } from '@kobrin/core'
import Button from 'primevue/button'
import { words } from '../words/en.ts'
import { t } from './partWords.ts'

const { barrier, back } = defineProps<{ barrier: Barrier; back: boolean }>()
const emit = defineEmits<{ crossed: [] }>()
</script>

<template>
  <section class="gate" aria-labelledby="gate-title">
    <h2 id="gate-title">
      {{
        back ? t('theWalkDoesNot') : t('beforeYouCross', { barrier: words.barrier[barrier].toLowerCase() })
      }}
    </h2>
    <p v-if="back">
      {{ t('youHaveBeenBehind') }}
    </p>
    <p v-else>
      {{ t('leaveTheToolsOf', { crossing: words.crossing[barrier] }) }}
    </p>
    <Button class="cross" @click="emit('crossed')">
      {{ back ? t('iWashedAndChanged') : t('doneCross') }}
    </Button>
  </section>
</template>

<style scoped>
.gate {
  display: grid;
  gap: 14px;
  max-width: 560px;
  margin: 8vh auto 0;
  padding: 22px 26px;
  border-block: 6px double var(--ink);
  background: repeating-linear-gradient(45deg, var(--chip) 0 7px, var(--paper) 7px 16px);
}

.gate > * {
  justify-self: start;
  padding: 2px 6px;
  background: var(--paper);
}

.gate > .cross {
  padding: 10px 24px;
  background: var(--focus);
}
</style>
