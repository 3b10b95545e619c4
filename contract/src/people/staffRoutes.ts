import * as z from 'zod/mini'
import type { Route } from '../route.ts'
import { Me, Units } from './session.ts'
import { ChoosePassphrase, ChoosePin, GivenCode, KeepPerson, StaffLine, UseCode } from './staff.ts'

const PEOPLE = '/api/people'
const onePerson = z.strictObject({ id: z.uuid().check(z.toLowerCase()) })

export const STAFF_ROUTES = {
  useCode: {
    method: 'POST',
    url: '/api/session/code',
    summary: 'Choose a passphrase with a code that was given out, and sign in',
    access: 'anyone',
    body: UseCode,
    answer: Me,
  },
  choosePin: {
    method: 'PUT',
    url: '/api/me/pin',
    summary: 'Choose a PIN of one’s own, or do without',
    access: 'signedIn',
    body: ChoosePin,
  },
  choosePassphrase: {
    method: 'PUT',
    url: '/api/me/passphrase',
    summary: 'Choose another passphrase',
    access: 'signedIn',
    body: ChoosePassphrase,
  },
  chooseUnits: {
    method: 'PUT',
    url: '/api/me/units',
    summary: 'Choose the units one reads and types in',
    access: 'signedIn',
    body: z.strictObject({ units: Units }),
  },
  staff: {
    method: 'GET',
    url: PEOPLE,
    summary: 'Everybody who works here or did',
    access: 'editPeople',
    answer: z.strictObject({ people: z.array(StaffLine) }),
  },
  addPerson: {
    method: 'POST',
    url: PEOPLE,
    summary: 'Somebody new, with a code to come in with',
    access: 'editPeople',
    body: KeepPerson,
    answer: GivenCode,
  },
  keepPerson: {
    method: 'PUT',
    url: `${PEOPLE}/:id`,
    summary: 'Write down anew who somebody is and what they may do',
    access: 'editPeople',
    params: onePerson,
    body: KeepPerson,
  },
  giveCode: {
    method: 'POST',
    url: `${PEOPLE}/:id/code`,
    summary: 'Another code for somebody, in place of the one before',
    access: 'editPeople',
    params: onePerson,
    answer: GivenCode,
  },
  letGo: {
    method: 'POST',
    url: `${PEOPLE}/:id/leave`,
    summary: 'Somebody does not come in any more; what they did keeps their name',
    access: 'editPeople',
    params: onePerson,
  },
  letBack: {
    method: 'POST',
    url: `${PEOPLE}/:id/return`,
    summary: 'Somebody who had left comes in again',
    access: 'editPeople',
    params: onePerson,
  },
} as const satisfies Record<string, Route>
