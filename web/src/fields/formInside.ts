import type { FormInstance } from '@primevue/forms'

/** What a form gives to the fields inside it. */
export interface FormInside extends Pick<FormInstance, 'getFieldState'> {
  /** Makes a field known to the form. Answers how to tell it of a new value. */
  register: (
    name: string,
    options: { initialValue: unknown },
  ) => { onChange: (event: { value: unknown }) => void }
}

/** The name under which PrimeVue's form hands itself on. */
export const FORM = '$pcForm'
