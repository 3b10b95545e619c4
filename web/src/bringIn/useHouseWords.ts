import { computed } from 'vue'
import { choicesFrom, choicesNamed } from '../fields/choicesOf.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { HouseWords } from './saying.ts'

/** The rooms and bays in the names of boxes, each before those inside it. */
function placesIn(names: readonly string[]): string[] {
  const places = new Set<string>()
  for (const name of names) {
    const parts = name.split(' · ')
    for (let many = 1; many <= parts.length; many += 1) places.add(parts.slice(0, many).join(' · '))
  }
  return [...places].sort((a, b) => a.localeCompare(b, undefined, { numeric: true }))
}

/** What the things of this house are called, where a list asks about them. */
export function useHouseWords() {
  const site = useSite()
  const today = useToday()
  return computed<HouseWords>(() => ({
    today: today.civilMoment().day,
    species: [...site.species.values()]
      .map(({ id: value, common, latin }) => ({ value, label: `${common} · ${latin}` }))
      .sort((a, b) => a.label.localeCompare(b.label)),
    places: choicesFrom(placesIn(site.standing.map(({ id }) => site.placeName(id)))),
    commonOf: (sheet) => site.species.get(sheet)?.common ?? sheet,
    stagesOf: (sheet) => choicesNamed(site.species.get(sheet)?.stages ?? []),
    stageOf: (sheet, stage) => site.species.get(sheet)?.stages.find(({ id }) => id === stage)?.name ?? stage,
  }))
}
