<script setup lang="ts">
import { computed } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import { useToday } from '../time/useToday.ts'
import { sayDay, sayMinutes, sayRange, spaced } from '../words/numbers.ts'
import { usePrep } from './usePrep.ts'

const emit = defineEmits<{ close: [] }>()
const today = useToday()
const store = usePrep()
const prep = computed(() => store.rest)

function grams(range: readonly [number, number]): string {
  return `${sayRange([Math.round(range[0]), Math.round(range[1])], spaced)} g`
}
</script>

<template>
  <AppDialog title="Still to carry" @close="emit('close')">
    <div class="prep">
      <p class="quiet">
        For the rest of today's walk: about {{ sayMinutes(prep.minutes) }},
        {{ spaced(Math.round(prep.litres * 10) / 10) }} l of water.
      </p>
      <h3>To carry</h3>
      <table>
        <thead>
          <tr>
            <th>Item</th>
            <th>Pieces</th>
            <th>Weight</th>
            <th>For</th>
            <th>Dust</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in prep.carry" :key="`${row.item} ${row.size}`">
            <td>{{ row.item }} {{ row.size }}</td>
            <td>{{ row.count[1] > 0 ? sayRange(row.count) : '' }}</td>
            <td>{{ row.grams[1] > 0 ? grams(row.grams) : '' }}</td>
            <td>{{ row.meals }}</td>
            <td>
              {{
                Object.entries(row.supplements)
                  .map(([name, meals]) => `${name} ×${meals}`)
                  .join(', ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <template v-if="prep.ahead.length > 0">
        <h3>To begin today for later meals</h3>
        <ul>
          <li v-for="row in prep.ahead" :key="`${row.do} ${row.item} ${row.size} ${row.forDay}`">
            {{ row.do === 'thaw' ? 'Thaw' : 'Gut-load' }} <strong>{{ row.count }}</strong> {{ row.item }}
            {{ row.size }} for
            {{ sayDay(row.forDay, today.day) }}
          </li>
        </ul>
      </template>
    </div>
  </AppDialog>
</template>

<style scoped>
.prep {
  display: grid;
  gap: 8px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  color: var(--soft);
  font-size: 13.5px;
  font-weight: 600;
  text-align: left;
}

td,
th {
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--line);
}
</style>
