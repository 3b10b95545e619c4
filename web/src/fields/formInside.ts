import type { FormInstance } from '@primevue/forms'

/** What a form gives to the fields inside it. */
export type FormInside = Pick<FormInstance, 'getFieldState'>

/** The name under which PrimeVue's form hands itself on. */
export const FORM = '$pcForm'
