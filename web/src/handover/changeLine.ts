import type { Change, PersonChange, PlaceChange } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import type { RouteLocationRaw } from 'vue-router'
import type { Resident } from '../site/useSite.ts'
import { sayOverride } from '../words/changes.ts'
import { t } from './words.ts'

/** One line of what changed: whom it is about, what it says, and where it leads. */
export interface ChangeLine {
  key: string
  at: string
  day: number
  by: string | null
  whom: string
  to: RouteLocationRaw | null
  says: string
  reason: string
}

/** What has to be known to say whom a change is about. */
export interface Names {
  residents: ReadonlyMap<string, Resident>
  species: ReadonlyMap<string, Sheet>
  placeName: (enclosure: string) => string
  nameOf: (person: string) => string
}

const ABOUT_PERSON: Readonly<Record<PersonChange, string>> = {
  added: t('newHere'),
  kept: t('writtenDown'),
  left: t('comesInNoMore'),
  returned: t('comesInAgain'),
  code: t('aCodeWasGiven'),
  passphrase: t('choseAPassphrase'),
  pin: t('choseAPin'),
  units: t('choseUnits'),
}

const ABOUT_PLACE: Readonly<Record<PlaceChange, string>> = {
  added: t('newPlace'),
  kept: t('furnishedAnew'),
  put: t('walkedInAnother'),
  dropped: t('takenAway'),
}

/** What of the staff concerns anyone who comes after: who is new and who is gone. */
const NEWS: readonly PersonChange[] = ['added', 'left', 'returned']

export function isNews({ what }: Change): boolean {
  return what.kind !== 'person' || NEWS.includes(what.what)
}

function ofTarget(target: string, { residents, species }: Names): Pick<ChangeLine, 'whom' | 'to'> {
  const resident = residents.get(target)
  if (resident) return { whom: resident.name, to: { name: 'plan', params: { id: target } } }
  return { whom: species.get(target)?.common ?? target, to: { name: 'sheet', params: { id: target } } }
}

function saySheet({ version, fields }: Extract<Change['what'], { kind: 'sheet' }>): string {
  if (fields === null) return t('newCareSheet')
  return fields.length > 0
    ? t('careSheetVersion', { version, fields: fields.join(', ') })
    : t('careSheetRenewed', { version })
}

function saysOf({ what }: Change, names: Names): Pick<ChangeLine, 'whom' | 'to' | 'says'> {
  switch (what.kind) {
    case 'school': {
      const school = names.species.get(what.sheet)?.schools.find(({ id }) => id === what.school)
      const option = school?.options.find(({ id }) => id === what.option)
      const says = `${school?.question ?? what.school} ${option?.name ?? what.option}`
      return { ...ofTarget(what.sheet, names), says }
    }
    case 'override':
      return { ...ofTarget(what.target, names), says: sayOverride(what.change) }
    case 'ended':
      return { ...ofTarget(what.target, names), says: t('noLonger', { override: sayOverride(what.change) }) }
    case 'sheet':
      return { ...ofTarget(what.sheet, names), says: saySheet(what) }
    case 'enclosure': {
      const to = { name: 'enclosure', params: { id: what.enclosure } }
      return { whom: names.placeName(what.enclosure), to, says: t('writtenDownAnew') }
    }
    case 'person':
      return { whom: names.nameOf(what.person), to: null, says: ABOUT_PERSON[what.what] }
    case 'room':
    case 'bay':
      return { whom: what.name, to: null, says: ABOUT_PLACE[what.what] }
    case 'broughtIn':
      return {
        whom: what.file,
        to: { name: 'bringIn' },
        says: t(what.back ? 'listTakenBack' : 'broughtIn', { count: what.facts }),
      }
    case 'house':
      return { whom: what.name, to: { name: 'house' }, says: t('houseWrittenDown') }
    case 'setUp':
      return { whom: what.name, to: null, says: t('houseSetUp') }
  }
}

export function lineOfChange(change: Change, names: Names): ChangeLine {
  const { stream, seq, at, day, by, reason } = change
  return { key: `${stream}:${seq}`, at, day, by, reason, ...saysOf(change, names) }
}
