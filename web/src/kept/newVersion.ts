import { shallowReadonly, shallowRef } from 'vue'

const waits = shallowRef(false)
let isOlder = false
let look = (): void => undefined

/** Whether a newer interface is there to be taken, or has to be. Small, so that anyone who hears the server can say so. */
export const newVersion = {
  waits: shallowReadonly(waits),
  isHere: (): void => {
    waits.value = true
  },
  /** The server answers in a way that only a newer page knows. */
  isOlder: () => isOlder,
  /** The server is newer than this page: what it says is shown as it says it, and the newer page is offered. */
  outgrown: (): void => {
    isOlder = true
    waits.value = true
    look()
  },
  /** What looks for the newer one once it is known that there is one. */
  onOutgrown: (act: () => void): void => {
    look = act
    if (isOlder) act()
  },
}
