<script setup lang="ts">
import Message from 'primevue/message'

/** What is wrong, in words, where it is seen and heard. */
const { says = '' } = defineProps<{ says?: string | undefined }>()
</script>

<template>
  <Message v-if="says" class="wrong" severity="error" role="alert">{{ says }}</Message>
</template>
