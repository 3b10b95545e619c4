<script setup lang="ts">
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import Button from 'primevue/button'
import FileUpload from 'primevue/fileupload'
import ProgressBar from 'primevue/progressbar'
import { may } from '@kobrin/contract'
import { withAsked } from '@kobrin/core'
import { computed } from 'vue'
import '../app/page.css'
import ChoiceField from '../fields/ChoiceField.vue'
import Wrong from '../fields/Wrong.vue'
import OfficeTabs from '../office/OfficeTabs.vue'
import { usePeople } from '../people/usePeople.ts'
import BroughtLists from './BroughtLists.vue'
import FaultyRows from './FaultyRows.vue'
import OpenQuestions from './OpenQuestions.vue'
import TheirTable from './TheirTable.vue'
import { useAnswering } from './useAnswering.ts'
import { useHouseWords } from './useHouseWords.ts'
import { sayLately } from './saying.ts'
import { useList } from './useList.ts'
import { t } from './words.ts'
import WordsTaken from './WordsTaken.vue'

const list = useList()
const { now, columns } = list
const people = usePeople()
const here = useHouseWords()
const answering = useAnswering(list.answers, columns)
const understood = computed(() => now.value.understood)

const sums = computed(() => {
  const read = understood.value
  if (!read) return ''
  return [
    t('rowsTold', { count: read.rows }),
    t('newcomersTold', { count: read.newcomers }),
    t('factsTold', { count: read.facts }),
    ...(read.heading > 0 ? [t('headingTold', { count: read.heading })] : []),
    ...(read.leftOut > 0 ? [t('leftOutTold', { count: read.leftOut })] : []),
  ].join(' · ')
})
const heads = computed(() =>
  now.value.top.map(({ line, says }) => ({ value: String(line), label: t('lineSays', { line, says }) })),
)
const sheets = computed(() => now.value.sheets.map((label, at) => ({ value: String(at), label })))
const asked = computed(() => withAsked(columns.value))
/** The next sheet of the file, when one is on record. */
const next = computed(() => now.value.sheets[now.value.sheet + 1])
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
        <p v-if="now.brought.residents">{{ t('residentsNow', now.brought.residents) }}</p>
        <div v-if="next !== undefined" class="row">
          <Button severity="secondary" @click="list.turnTo(now.sheet + 1)">{{
            t('nextSheet', { name: next })
          }}</Button>
        </div>
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
        <ChoiceField
          v-if="sheets.length > 1"
          :model-value="String(now.sheet)"
          class="narrow"
          :label="t('whichSheet')"
          :options="sheets"
          @update:model-value="list.turnTo(Number($event))"
        />
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
        <TheirTable v-model="columns" :guesses="now.guesses" :shown="now.shown" />
      </section>
      <template v-if="understood">
        <OpenQuestions :questions="understood.questions" :here="here" :answering="answering" />
        <WordsTaken :species="understood.species" :here="here" @changed="answering.speciesIs" />
      </template>
      <section v-if="understood" class="block">
        <h2>{{ t('preview') }}</h2>
        <p>{{ sums }}</p>
        <p v-if="understood.newcomers > 0">{{ t('hereAlready') }}</p>
        <p v-if="understood.lately.length > 0">{{ sayLately(understood.lately, here.today) }}</p>
        <p v-if="understood.cameUnsaid > 0" class="quiet">
          {{ t('cameUnsaid', { count: understood.cameUnsaid }) }}
        </p>
        <p v-if="understood.faultyCount === 0" class="good">{{ t('nothingWrong') }}</p>
        <template v-else>
          <p class="wrong" role="status">
            {{ t('somethingWrong', { count: understood.faultyCount }) }}
            <template v-if="understood.faulty.length < understood.faultyCount">{{
              t('firstShown', { count: understood.faulty.length })
            }}</template>
          </p>
          <FaultyRows :rows="understood.faulty" :columns="asked" :here="here" @mend="list.mend" />
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
    <BroughtLists v-if="now.progress === null && may(people.role, 'bringIn')" />
  </main>
</template>

<style scoped>
.bar {
  flex: 1;
  max-width: 420px;
}
</style>
