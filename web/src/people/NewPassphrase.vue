<script setup lang="ts">
import TextField from '../fields/TextField.vue'

/** A passphrase that is being chosen, typed twice: nobody sees what they type. */
defineProps<{ name: string; label: string; again: string }>()
const once = defineModel<string>({ required: true })
const twice = defineModel<string>('twice', { required: true })
</script>

<template>
  <TextField v-model="once" :name="name" :label="label" type="password" autocomplete="new-password" />
  <TextField v-model="twice" name="again" :label="again" type="password" autocomplete="new-password" />
</template>
