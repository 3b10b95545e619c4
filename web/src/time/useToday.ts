import type { Civil } from '@kobrin/core'
import { civil, instantAt } from '@kobrin/core'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { useSite } from '../site/useSite.ts'

const TICK_MS = 20_000

/** When something happened that is said now; null is now. */
export type When = Civil | null

export interface Moment {
  at: string
  day: number
  writtenAt?: string
}

/** The site's own calendar and clock, corrected by the server's. */
export const useToday = defineStore('today', () => {
  const site = useSite()
  const now = shallowRef(Date.now())
  useIntervalFn(() => (now.value = Date.now()), TICK_MS)

  const zone = computed(() => site.site?.zone ?? 'UTC')
  const civilNow = computed(() => civil(now.value + site.clockBehind, zone.value))
  const day = computed(() => civilNow.value.day)
  /** Quarter hours are fine enough for windows and spare the walk a new start every minute. */
  const minute = computed(() => Math.floor(civilNow.value.minute / 15) * 15)

  /** The moment of a new entry: now, or before, and then when it is written down. */
  function moment(when: When = null): Moment {
    const nowMs = Date.now() + site.clockBehind
    const ms = when === null ? nowMs : Math.min(instantAt(when, zone.value), nowMs)
    const at = new Date(ms).toISOString()
    const later = ms < nowMs ? { writtenAt: new Date(nowMs).toISOString() } : {}
    return { at, day: civil(ms, zone.value).day, ...later }
  }

  /** What the calendar and the clock here show now, to the minute. */
  function civilMoment(): Civil {
    return civil(Date.now() + site.clockBehind, zone.value)
  }

  /** Wall-clock time of an instant, HH:MM. */
  function clock(iso: string): string {
    const at = civil(Date.parse(iso), zone.value).minute
    return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`
  }

  /** The civil day here on which an instant fell. */
  function dayOf(iso: string): number {
    return civil(Date.parse(iso), zone.value).day
  }

  return { day, minute, zone, moment, civilMoment, clock, dayOf }
})
