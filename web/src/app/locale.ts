import { defaultOptions } from 'primevue/config'
import en from '../words/en/parts.ts'
import { wordsOf } from '../words/i18n.ts'
import { sayMonth, sayWeekday } from '../words/numbers.ts'

const t = wordsOf('parts', en)
const MONDAY = 1
/** The calendar counts from Sunday. */
const DAYS = [7, 1, 2, 3, 4, 5, 6]
const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1)

/** What the parts of the interface say by themselves, in the words of the house; its week begins on Monday. */
export const locale = {
  ...defaultOptions.locale,
  firstDayOfWeek: MONDAY,
  dayNames: DAYS.map(sayWeekday),
  dayNamesShort: DAYS.map((day) => sayWeekday(day).slice(0, 3)),
  dayNamesMin: DAYS.map((day) => sayWeekday(day).slice(0, 2)),
  monthNames: MONTHS.map((month) => sayMonth(month, 'long')),
  monthNamesShort: MONTHS.map((month) => sayMonth(month)),
  clear: t('clear'),
  today: t('today'),
  choose: t('choose'),
  chooseDate: t('chooseDate'),
  chooseMonth: t('chooseMonth'),
  chooseYear: t('chooseYear'),
  prevMonth: t('before'),
  nextMonth: t('after'),
  prevYear: t('before'),
  nextYear: t('after'),
  emptySearchMessage: t('nothingFound'),
  emptyFilterMessage: t('nothingFound'),
  emptyMessage: t('nothingToChoose'),
  emptySelectionMessage: t('nothingToChoose'),
  aria: { ...defaultOptions.locale?.aria, close: t('close'), clear: t('clear') },
}
