/** Where each thing is served. */
export const PATHS = {
  health: '/api/health',
  openapi: '/api/openapi.json',
  session: '/api/session',
  switchPerson: '/api/session/switch',
  device: '/api/device',
  site: '/api/site',
  states: '/api/states',
  entries: '/api/entries',
  record: '/api/residents/:residentId/entries',
  feed: '/api/feed',
} as const

export function recordPath(residentId: string): string {
  return PATHS.record.replace(':residentId', residentId)
}
