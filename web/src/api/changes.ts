import { createEventHook } from '@vueuse/core'

/** Heard by what remembers what the server answered. They come after the board: before that nothing is
 * remembered that could be wrong. */

/** Plans, sheets, boxes or schools were changed. */
export const answersChanged = createEventHook()

/** Something was written about these. */
export const historiesChanged = createEventHook<readonly string[]>()
