<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core'
import Button from 'primevue/button'
import ChoosePhoto from './ChoosePhoto.vue'
import { t } from './words.ts'

/** A picture that goes with what a form says. */
const file = defineModel<File | null>({ required: true })
const url = useObjectUrl(file)
</script>

<template>
  <div class="row">
    <template v-if="url">
      <img :src="url" :alt="t('chosen')" />
      <Button severity="secondary" @click="file = null">{{ t('withoutIt') }}</Button>
    </template>
    <ChoosePhoto v-else :label="t('choosePhoto')" @chosen="file = $event" />
  </div>
</template>

<style scoped>
img {
  max-width: 160px;
  max-height: 160px;
  border: 1px solid var(--edge);
}
</style>
