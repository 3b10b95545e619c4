<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import FileUpload from 'primevue/fileupload'
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import { t } from './words.ts'

/** A picture from the camera of this tablet, or from a file. */
defineProps<{ label: string }>()
const emit = defineEmits<{ chosen: [file: File] }>()
/** What is touched has a camera. */
const isTouched = useMediaQuery('(pointer: coarse)')
const CAMERA = { input: { capture: 'environment' } }
const BESIDE = { severity: 'secondary' } as const

function take({ files }: FileUploadUploaderEvent): void {
  const [one] = [files].flat()
  if (one) emit('chosen', one)
}
</script>

<template>
  <div class="choose">
    <FileUpload
      v-if="isTouched"
      mode="basic"
      accept="image/*"
      :choose-label="t('takePhoto')"
      :choose-button-props="BESIDE"
      :aria-label="t('takePhoto')"
      :pt="CAMERA"
      auto
      custom-upload
      @uploader="take"
    />
    <FileUpload
      mode="basic"
      accept="image/*"
      :choose-label="isTouched ? t('fromFile') : label"
      :choose-button-props="BESIDE"
      :aria-label="t('photo')"
      auto
      custom-upload
      @uploader="take"
    />
  </div>
</template>

<style scoped>
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
