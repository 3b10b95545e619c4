import * as z from 'zod/mini'
import type { Route } from '../route.ts'
import { KeepBay, KeepRoom, NewBay, PastBay, PutAt } from './layout.ts'

const params = z.strictObject({ id: z.uuid().check(z.toLowerCase()) })
const made = z.strictObject({ id: z.uuid() })

export const PLACE_ROUTES = {
  addRoom: {
    method: 'POST',
    url: '/api/rooms',
    summary: 'A new room, walked last',
    access: 'editPlaces',
    body: KeepRoom,
    answer: made,
  },
  keepRoom: {
    method: 'PUT',
    url: '/api/rooms/:id',
    summary: 'Write down a room anew',
    access: 'editPlaces',
    params,
    body: KeepRoom,
  },
  putRoom: {
    method: 'PUT',
    url: '/api/rooms/:id/order',
    summary: 'Walk a room sooner or later',
    access: 'editPlaces',
    params,
    body: PutAt,
  },
  dropRoom: {
    method: 'DELETE',
    url: '/api/rooms/:id',
    summary: 'Take away a room in which nothing stands',
    access: 'editPlaces',
    params,
  },
  addBay: {
    method: 'POST',
    url: '/api/rooms/:id/bays',
    summary: 'A new bay in a room, walked last there',
    access: 'editPlaces',
    params,
    body: NewBay,
    answer: made,
  },
  keepBay: {
    method: 'PUT',
    url: '/api/bays/:id',
    summary: 'Furnish a bay anew; a box that held anybody is retired, never deleted',
    access: 'editPlaces',
    params,
    body: KeepBay,
  },
  pastOfBay: {
    method: 'GET',
    url: '/api/bays/:id/past',
    summary: 'How a bay stood before, the latest first',
    access: 'editPlaces',
    params,
    answer: z.strictObject({ past: z.array(PastBay) }),
  },
  putBay: {
    method: 'PUT',
    url: '/api/bays/:id/order',
    summary: 'Walk a bay sooner or later in its room',
    access: 'editPlaces',
    params,
    body: PutAt,
  },
  dropBay: {
    method: 'DELETE',
    url: '/api/bays/:id',
    summary: 'Take away a bay in which no box ever stood',
    access: 'editPlaces',
    params,
  },
} as const satisfies Record<string, Route>
