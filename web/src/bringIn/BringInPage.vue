<script setup lang="ts">
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import Button from 'primevue/button'
import FileUpload from 'primevue/fileupload'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import '../app/page.css'
import ChoiceField from '../fields/ChoiceField.vue'
import Wrong from '../fields/Wrong.vue'
import OfficeTabs from '../office/OfficeTabs.vue'
import ColumnTable from './ColumnTable.vue'
import FaultyRows from './FaultyRows.vue'
import { useList } from './useList.ts'
import { t } from './words.ts'

const list = useList()
const { now, columns } = list
const understood = computed(() => now.value.understood)

const sums = computed(() => {
  const read = understood.value
  if (!read) return ''
  return [
    t('rowsTold', { count: read.rows }),
    t('newcomersTold', { count: read.newcomers }),
    t('factsTold', { count: read.facts }),
    ...(read.leftOut > 0 ? [t('leftOutTold', { count: read.leftOut })] : []),
  ].join(' · ')
})
const heads = computed(() =>
  now.value.top.map(({ line, says }) => ({ value: String(line), label: t('lineSays', { line, says }) })),
)
const isReady = computed(
  () => understood.value !== null && understood.value.faultyCount === 0 && understood.value.facts > 0,
)

function take({ files }: FileUploadUploaderEvent): void {
  const [one] = [files].flat()
  if (one) list.take(one)
}

function leaveAllOut(): void {
  for (const { row } of understood.value?.faulty ?? []) list.mend(row, { leftOut: true })
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('bringIn') }}</h1>
      <OfficeTabs />
    </header>
    <p class="narrow">{{ t('about') }}</p>
    <div class="row">
      <FileUpload
        mode="basic"
        accept=".csv,.tsv,.txt,.xlsx,text/csv"
        :choose-label="t('chooseFile')"
        auto
        custom-upload
        @uploader="take"
      />
      <strong>{{ now.file?.name }}</strong>
    </div>
    <Wrong :says="now.complaint" />
    <div v-if="now.progress !== null" class="row" role="status">
      <span>{{ now.progress === 100 ? t('sendingIt') : t('reading') }}</span>
      <ProgressBar
        class="bar"
        :value="now.progress"
        :mode="now.progress === 100 ? 'indeterminate' : 'determinate'"
        :aria-label="t('reading')"
      />
      <Button severity="secondary" @click="list.stop()">{{ t('stop') }}</Button>
    </div>
    <div v-if="now.isStopped" class="row" role="status">
      <span>{{ t('stopped') }}</span>
      <Button severity="secondary" @click="list.takeUp()">{{ t('goOn') }}</Button>
    </div>
    <section v-if="now.brought" class="block" role="status">
      <template v-if="now.brought.refused.length === 0">
        <p class="good">
          {{ t('broughtIn', { count: now.brought.kept }) }} {{ t('wereKnown', { count: now.brought.known }) }}
        </p>
      </template>
      <template v-else>
        <p class="wrong">{{ t('refusedAll') }}</p>
        <ul>
          <li v-for="one in now.brought.refused" :key="one.uid">{{ one.message }}</li>
        </ul>
      </template>
    </section>
    <template v-else-if="now.guesses.length > 0">
      <section class="block">
        <h2>{{ t('columns') }}</h2>
        <p v-if="now.wasRemembered" class="quiet">{{ t('remembered') }}</p>
        <p v-if="now.oldLetters" class="ask">{{ t('oldLetters') }}</p>
        <ChoiceField
          v-if="now.top.length > 1"
          :model-value="String(now.head)"
          class="narrow"
          :label="t('headIsIn')"
          :options="heads"
          @update:model-value="list.headAt(Number($event))"
        />
        <ColumnTable v-model="columns" :guesses="now.guesses" />
      </section>
      <section v-if="understood" class="block">
        <h2>{{ t('preview') }}</h2>
        <p>{{ sums }}</p>
        <p v-if="understood.faultyCount === 0" class="good">{{ t('nothingWrong') }}</p>
        <template v-else>
          <p class="wrong" role="status">
            {{ t('somethingWrong', { count: understood.faultyCount }) }}
            <template v-if="understood.faulty.length < understood.faultyCount">{{
              t('firstShown', { count: understood.faulty.length })
            }}</template>
          </p>
          <FaultyRows :rows="understood.faulty" :columns="columns" @mend="list.mend" />
        </template>
        <div class="row">
          <Button :disabled="!isReady || now.progress !== null" @click="list.bringIn()">{{
            t('bringAllIn')
          }}</Button>
          <Button v-if="understood.faultyCount > 0" severity="secondary" @click="leaveAllOut">{{
            t('leaveAllOut')
          }}</Button>
        </div>
      </section>
    </template>
  </main>
</template>

<style scoped>
.bar {
  flex: 1;
  max-width: 420px;
}
</style>
