import { defineAsyncComponent } from 'vue'

/** What to do next, fetched with the first that presses: the table it is taken from is long. */
export const NextStep = defineAsyncComponent(() => import('./NextStep.vue'))
