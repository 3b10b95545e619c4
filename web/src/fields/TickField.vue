<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'

/** Something that is so or is not. */
const { label } = defineProps<{ label: string }>()
const ticked = defineModel<boolean | undefined>({ required: true })
const id = useId()
</script>

<template>
  <div class="tick">
    <Checkbox v-model="ticked" :input-id="id" binary />
    <label :for="id">{{ label }}</label>
  </div>
</template>
