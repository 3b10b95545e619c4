import type { KeptFloor } from '@kobrin/core'
import { keptFloor } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'

const NONE: readonly KeptFloor[] = []

/** Old floors that are kept, by the resident that lived on them. */
export const useKeptFloors = defineStore('keptFloors', () => {
  const record = useRecord()
  const byResident = computed(() => {
    const floors = new Map<string, KeptFloor[]>()
    for (const [lot, state] of record.lots) {
      const kept = keptFloor(lot, state)
      if (!kept) continue
      const { of } = kept.floor
      record.need(of)
      floors.set(of, [...(floors.get(of) ?? []), kept])
    }
    return floors
  })

  return { of: (residentId: string): readonly KeptFloor[] => byResident.value.get(residentId) ?? NONE }
})
