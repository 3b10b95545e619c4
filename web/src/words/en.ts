import type { Barrier, BodyPart, DutyKind, EcdysisStage, FeedOutcome, HoldKind, SkinLeft } from '@kobrin/core'
import en from './en/words.ts'
import { tablesOf } from './i18n.ts'

/** Words of the vocabulary that the walk's first screen is made of. */
export const words = tablesOf(
  'words',
  en satisfies {
    duty: Record<DutyKind, string>
    dutyLetter: Record<DutyKind, string>
    done: Record<DutyKind, string>
    outcome: Record<FeedOutcome, string>
    hold: Record<HoldKind, string>
    barrier: Record<Barrier, string>
    crossing: Record<Barrier, string>
    retained: Record<SkinLeft, string>
    part: Record<BodyPart, string>
    stage: Record<EcdysisStage, string>
  },
)
