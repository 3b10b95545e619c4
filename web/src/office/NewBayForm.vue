<script setup lang="ts">
import type { Room } from '@kobrin/contract'
import { NewBay, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { reactive } from 'vue'
import { useRouter } from 'vue-router'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { useSite } from '../site/useSite.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { t } from './words.ts'

const { room } = defineProps<{ room: Room }>()
const site = useSite()
const router = useRouter()
const form = reactive({ name: '' })
const { busy, complaint, send } = useSending(() =>
  call(OFFICE_ROUTES.addBay, { params: { id: room.id }, body: form }),
)

async function add(): Promise<void> {
  const done = await send()
  if (!done) return
  await site.load()
  await router.push({ name: 'bay', params: { id: done.got.id } })
}
</script>

<template>
  <SchemaForm :schema="NewBay" :sends="() => form" :complaint="complaint" @keep="add">
    <div class="pair">
      <TextField
        v-model="form.name"
        name="name"
        :label="t('newBayIn', { name: room.name })"
        :placeholder="t('likeNorthWall')"
        maxlength="80"
      />
      <Button type="submit" severity="secondary" :disabled="busy">{{ t('addBay') }}</Button>
    </div>
  </SchemaForm>
</template>
