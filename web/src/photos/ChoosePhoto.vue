<script setup lang="ts">
import FileUpload from 'primevue/fileupload'
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import { t } from './words.ts'

/** A picture from the camera or from a file. */
defineProps<{ label: string }>()
const emit = defineEmits<{ chosen: [file: File] }>()

function take({ files }: FileUploadUploaderEvent): void {
  const [one] = [files].flat()
  if (one) emit('chosen', one)
}
</script>

<template>
  <FileUpload
    mode="basic"
    accept="image/*"
    :choose-label="label"
    :choose-button-props="{ severity: 'secondary' }"
    :aria-label="t('photo')"
    auto
    custom-upload
    @uploader="take"
  />
</template>
