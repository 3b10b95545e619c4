import * as z from 'zod/mini'
import type { Route } from '../route.ts'
import { DeviceLine, EnrolDevice, Me, Presence, SignIn, SwitchPerson } from './session.ts'

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
  devices: {
    method: 'GET',
    url: '/api/devices',
    summary: 'The browsers people sign in on',
    access: 'enrolDevice',
    answer: z.strictObject({ devices: z.array(DeviceLine) }),
  },
  revokeDevice: {
    method: 'DELETE',
    url: '/api/devices/:id',
    summary: 'End whoever is signed in on a device, and switching by PIN there',
    access: 'enrolDevice',
    params: z.strictObject({ id: z.uuid().check(z.toLowerCase()) }),
  },
} as const satisfies Record<string, Route>
