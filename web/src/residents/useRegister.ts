import type { Register } from '@kobrin/core'
import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'

/** Who is on record, as the entries say it. Filled by the record; reactive resident by resident. */
export const useRegister = defineStore('register', () => {
  const lines = shallowReactive(new Map<string, Register>())

  function put(id: string, register: Register | null): void {
    if (register === null) lines.delete(id)
    else if (JSON.stringify(lines.get(id)) !== JSON.stringify(register)) lines.set(id, register)
  }

  return { lines, put }
})
