import { civil } from '@kobrin/core'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { useSite } from '../site/useSite.ts'

const TICK_MS = 20_000

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

  /** The present moment, for a new entry. */
  function moment(): { at: string; day: number } {
    const ms = Date.now() + site.clockBehind
    return { at: new Date(ms).toISOString(), day: civil(ms, zone.value).day }
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

  return { day, minute, zone, moment, clock, dayOf }
})
