import type { Route } from '@kobrin/contract'
import { addressOf, OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { EntryKind } from '@kobrin/core'
import { emptyBuild } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import type { SmallSite } from './smallSite.ts'
import { newcomer, PASSPHRASE } from './smallSite.ts'

export interface AnyRequest {
  method: Route['method']
  url: string
  body?: object
}

const SOMEBODY = { name: 'Somebody', login: 'somebody', initials: 'SO', role: 'reader', competences: [] }

const ROOM = { name: 'Loft', barrier: 1, celsius: null }

/** A request that would succeed, apart from who makes it. */
export function requestFor(site: SmallSite, { method, url }: Route): AnyRequest {
  const subject = site.residents[0]?.id ?? ''
  const bodies: Record<string, object> = {
    [`POST ${ROUTES.append.url}`]: { entries: [{ uid: uuidv7() }] },
    [`POST ${ROUTES.enrolDevice.url}`]: { name: 'Tablet' },
    [`PUT ${OFFICE_ROUTES.keepSheet.url}`]: { yaml: 'id: leopard-gecko', why: 'Try' },
    [`POST ${OFFICE_ROUTES.schools.url}`]: {
      sheet: 'leopard-gecko',
      school: 'heat',
      option: 'above',
      reason: 'Lamps are there',
    },
    [`POST ${ROUTES.signOverride.url}`]: { resident: subject, housing: { hides: 3 }, reason: 'Shy' },
    [`POST ${ROUTES.endOverride.url}`]: { target: subject, number: 0, reason: 'Bold now' },
    [`POST ${OFFICE_ROUTES.addPerson.url}`]: { ...SOMEBODY, login: `new.${uuidv7()}` },
    [`PUT ${OFFICE_ROUTES.keepPerson.url}`]: SOMEBODY,
    [`PUT ${OFFICE_ROUTES.choosePin.url}`]: { passphrase: PASSPHRASE, pin: '2718' },
    [`PUT ${OFFICE_ROUTES.chooseUnits.url}`]: { units: 'us' },
    [`PUT ${OFFICE_ROUTES.choosePassphrase.url}`]: { passphrase: PASSPHRASE, next: PASSPHRASE },
    [`POST ${OFFICE_ROUTES.takeListBack.url}`]: { why: 'The wrong file' },
    [`POST ${OFFICE_ROUTES.bringIn.url}`]: {
      file: 'list.csv',
      facts: [
        {
          uid: uuidv7(),
          subject,
          kind: 'noted',
          occurredAt: '2026-06-01T12:00:00.000Z',
          payload: { text: 'Old' },
        },
      ],
    },
    [`PUT ${OFFICE_ROUTES.keepHouse.url}`]: {
      name: 'The house',
      prefix: '',
      digits: 4,
      units: 'metric',
      hemisphere: 'south',
    },
    [`POST ${OFFICE_ROUTES.addRoom.url}`]: { ...ROOM, name: uuidv7() },
    [`PUT ${OFFICE_ROUTES.keepRoom.url}`]: ROOM,
    [`PUT ${OFFICE_ROUTES.putRoom.url}`]: { at: 0 },
    [`POST ${OFFICE_ROUTES.addBay.url}`]: { name: 'Bench' },
    [`PUT ${OFFICE_ROUTES.keepBay.url}`]: {
      name: 'Bench',
      barrier: null,
      widthMm: null,
      shelves: [],
      version: 1,
    },
    [`PUT ${OFFICE_ROUTES.putBay.url}`]: { at: 0 },
    [`PUT ${ROUTES.keepEnclosure.url}`]: { widthMm: 600, depthMm: 400, heightMm: 400, build: emptyBuild() },
  }
  const body = bodies[`${method} ${url}`]
  const parameters = {
    subject,
    act: uuidv7(),
    sheetId: 'leopard-gecko',
    version: 1,
    day: 20_600,
    id: uuidv7(),
    enclosureId: site.enclosures.at(-1)?.id ?? '',
  }
  const query = url === ROUTES.changes.url ? { since: 0 } : {}
  return { method, url: addressOf(url, parameters, query), ...(body && { body }) }
}

/** An entry as a tablet posts it, made now. */
export function postedBy(author: string, fact: { subject: string; kind: EntryKind; payload: object }) {
  return { ...fact, uid: uuidv7(), occurredAt: new Date().toISOString(), author }
}

/** What an entry of each kind may say; where it speaks of something there is, that is left open. */
export const PAYLOADS: Record<EntryKind, object> = {
  registered: newcomer('Newcomer'),
  expected: { enclosure: '' },
  arrived: { enclosure: '' },
  moved: { to: '' },
  died: { count: 1 },
  left: { count: 1, to: 'Another house' },
  examined: { found: 'An impaction' },
  lost: { why: 'Nobody found it' },
  merged: { into: '' },
  parted: { count: 1, into: '' },
  described: { marks: 'A nick in the tail' },
  photographed: { photo: uuidv7() },
  permitted: { number: 'L-77', until: null },
  companionDied: { companion: '' },
  staged: { stage: 'adult', why: 'Grown' },
  schooled: { school: 'd3', option: 'always', why: 'No tube' },
  counted: { count: 12 },
  answered: { note: uuidv7() },
  tended: { duty: 'water', does: 'water' },
  accounted: { found: 1, lost: 0, why: 'Behind the cork' },
  gained: { count: 2 },
  fed: { item: 'crickets', outcome: 'taken' },
  bowl: { found: 'empty' },
  watered: {},
  dampened: {},
  cleaned: { scope: 'spot' },
  weighed: { grams: 60 },
  measured: { part: 'length', mm: 200 },
  ecdysis: { stage: 'dull' },
  skinCleared: {},
  looked: { seen: true },
  droppings: { kind: 'normal' },
  checked: {},
  condition: { score: 3 },
  observed: { text: 'Well', severity: 'info' },
  noted: { text: 'A note' },
  held: { hold: 'gravid', reason: 'Felt' },
  released: { hold: 'gravid' },
  vacated: { resident: '', leaves: 'toClean' },
  readied: { floor: 'cleaned' },
  reading: { zone: 'warm end', what: 'celsius', value: 31 },
  floorKept: { of: '', at: 'Larder' },
  floorChecked: { found: 'nothing' },
  floorDisposed: {},
  corrected: { target: '', to: { kind: 'noted', payload: { text: 'Better' } }, why: 'Slip' },
  retracted: { target: '', why: 'Slip' },
}
