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
  residents: '/api/residents',
  stage: '/api/residents/:residentId/stage',
  planSources: '/api/residents/:residentId/plan',
  library: '/api/library',
  sheet: '/api/library/:sheetId',
  sheetVersion: '/api/library/:sheetId/versions/:version',
  schools: '/api/schools',
  overrides: '/api/overrides',
  endOverride: '/api/overrides/end',
  preview: '/api/preview',
  enclosure: '/api/enclosures/:enclosureId',
  planChanges: '/api/plan-changes',
} as const

/** A path with its parameters filled in. */
export function pathWith(path: string, parameters: Readonly<Record<string, string | number>>): string {
  return path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(parameters[name])))
}

export function recordPath(residentId: string): string {
  return pathWith(PATHS.record, { residentId })
}
