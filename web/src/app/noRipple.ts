import type { ObjectDirective } from 'vue'

const noRipple: ObjectDirective = {}

/** Stands for the waves that buttons would show under a finger. */
export default noRipple
