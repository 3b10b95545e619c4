import InputNumber from 'primevue/inputnumber'
import type { ComponentOptionsMixin } from 'vue'
import { defineComponent } from 'vue'
import { readSigned } from './readSigned.ts'

interface Sign {
  isDecimalSign: boolean
  isMinusSign: boolean
}

interface Inside {
  _suffix: RegExp
  numberFormat: Intl.NumberFormat
}

type Insert = (this: unknown, event: Event, text: string, sign?: Sign) => void

const { methods } = InputNumber as unknown as { methods: { insert: Insert } }

/** What this device writes between units and tenths. */
function decimalSign(format: Intl.NumberFormat): string {
  return format.formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.'
}

/** PrimeVue's number field, in which comma and point both divide units from tenths. To it one of them divides
 * thousands, and 42,5 g would become 425 g. */
export const HouseNumber = defineComponent({
  extends: InputNumber as unknown as ComponentOptionsMixin,
  methods: {
    isDecimalSign(char: string): boolean {
      return char === '.' || char === ','
    },
    insert(event: Event, text: string, sign?: Sign): void {
      const { numberFormat } = this as unknown as Inside
      const typed = sign?.isDecimalSign
        ? decimalSign(numberFormat)
        : text.replace('.', decimalSign(numberFormat))
      methods.insert.call(this, event, typed, sign)
    },
    parseValue(text: string): number | string | null {
      const bare = text.replace((this as unknown as Inside)._suffix, '').trim()
      return bare === '-' ? bare : readSigned(bare)
    },
  },
})
