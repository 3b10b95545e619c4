<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

/** A cell of the sheet: what was written there, and what is wrong with it. */
const { column, label, complaint } = defineProps<{ column: string; label: string; complaint: string }>()
const typed = defineModel<string | undefined>({ required: true })
const faultId = useId()
</script>

<template>
  <InputText
    v-model="typed"
    :data-column="column"
    :aria-label="label"
    :aria-describedby="complaint ? faultId : undefined"
    :invalid="complaint !== ''"
    autocomplete="off"
    class="cell"
  />
  <p v-if="complaint" :id="faultId" class="fault">{{ complaint }}</p>
</template>

<style scoped>
.cell {
  width: 5.5em;
}

.cell[data-column='note'] {
  width: 14em;
}

.fault {
  max-width: 22em;
  color: var(--late);
}
</style>
