import type { Route } from '../route.ts'
import { EnrolDevice, Me, Presence, SignIn, SwitchPerson } from './session.ts'

const SESSION = '/api/session'

export const PEOPLE_ROUTES = {
  signIn: {
    method: 'POST',
    url: SESSION,
    summary: 'Sign in with a passphrase',
    access: 'anyone',
    body: SignIn,
    answer: Me,
  },
  presence: {
    method: 'GET',
    url: SESSION,
    summary: 'Who is signed in here, and who can switch to on an enrolled tablet',
    access: 'anyone',
    answer: Presence,
  },
  signOut: { method: 'DELETE', url: SESSION, summary: 'Sign out', access: 'signedIn' },
  switchPerson: {
    method: 'POST',
    url: '/api/session/switch',
    summary: 'Switch person on an enrolled tablet by PIN',
    access: 'anyone',
    body: SwitchPerson,
    answer: Me,
  },
  enrolDevice: {
    method: 'POST',
    url: '/api/device',
    summary: 'Let people switch by PIN on this tablet',
    access: 'enrolDevice',
    body: EnrolDevice,
    answer: Me,
  },
} as const satisfies Record<string, Route>
