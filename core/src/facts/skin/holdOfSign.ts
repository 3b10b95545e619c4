import type { HoldKind } from '../holds/holdKind.ts'
import type { EcdysisStage } from './skinState.ts'

/** The hold that a sign of the skin brings about, if any. */
export function holdOfSign(stage: EcdysisStage): HoldKind | null {
  switch (stage) {
    case 'dull':
    case 'inBlue':
    case 'clear':
      return 'inBlue'
    case 'premolt':
    case 'sealedIn':
    case 'soft':
      return stage
    case 'shed':
    case 'molted':
    case 'hardened':
      return null
  }
}
