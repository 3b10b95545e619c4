import { serve } from './serve.ts'
import type { Settings } from './settings.ts'

function greeting(url: string, firstCode: string | null): string {
  if (firstCode === null) return `Kobrin is at ${url}`
  return [
    '',
    'Nothing is on record here yet. Set up your house at',
    '',
    `  ${url}/set-up#${firstCode}`,
    '',
    'The code at the end is good until the house is set up or this is stopped.',
    '',
    `Kobrin is at ${url}`,
  ].join('\n')
}

/** A house of one's own: the record that is there, or the way to begin one. */
export async function start(settings: Settings): Promise<void> {
  await serve({ settings, greet: (url, firstCode) => console.log(greeting(url, firstCode)) })
}
