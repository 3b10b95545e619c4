import { outlook } from '@kobrin/core'
import type { Outlook, OutlookInput, WhatIf } from '@kobrin/core'

export interface ToOutlook {
  input: OutlookInput
  whatIf: WhatIf
}

export type FromOutlook = Outlook

globalThis.addEventListener('message', ({ data: { input, whatIf } }: MessageEvent<ToOutlook>) => {
  globalThis.postMessage(outlook(input, whatIf) satisfies FromOutlook)
})
