<script setup lang="ts">
import type { Finding } from '@kobrin/core'
import { terms } from '../words/terms.ts'
import { sayFinding } from '../words/fit.ts'
import { saySource } from '../words/reasons.ts'
import { useTeller } from '../words/useTeller.ts'
import { t } from './words.ts'

const { findings } = defineProps<{ findings: readonly Finding[] }>()
const teller = useTeller()
</script>

<template>
  <ul class="findings">
    <li v-for="(finding, index) in findings" :key="index" :class="finding.severity">
      <strong>{{ sayFinding(finding).what }}</strong>
      <p>
        {{ sayFinding(finding).mend }}
        <span class="quiet"
          >{{ terms.severity[finding.severity]
          }}{{ finding.source ? `. ${saySource(finding.source, teller)}` : '' }}</span
        >
      </p>
    </li>
    <li v-if="findings.length === 0" class="good">{{ t('fitsNothingThePlan') }}</li>
  </ul>
</template>

<style scoped>
li {
  margin-bottom: 6px;
  padding: 6px 10px;
  border: 1px solid var(--line);
  background: var(--glass);
}

.good,
.info {
  border-left: 6px solid var(--done);
}

.watch {
  border-left: 6px dotted var(--held);
}

.act {
  border-left: 7px double var(--late);
}

.urgent {
  border: 4px solid var(--late);
}

p {
  font-size: 0.875rem;
}
</style>
