import { z } from 'zod'
import { HoldKind } from '../holds/holdKind.ts'
import { DutyKind } from './duty.ts'
import { Source } from './source.ts'

/** What a hold stops, how long it should last, and when its silence becomes a worry. */
export const HoldRule = z.strictObject({
  hold: HoldKind,
  suppresses: z.array(DutyKind),
  /** Days from its start to the end that is usual. Without it the end is whatever a person set. */
  days: z.number().nonnegative().optional(),
  /** Days from its start after which somebody should look. Defaults to the usual end. */
  worryAfter: z.number().nonnegative().optional(),
  /** 'time': over when its days are over. 'event': lasts until a fact ends it. */
  endsBy: z.enum(['time', 'event']),
  /** For digesting: only meals of at least this share of body weight. */
  fromMassShare: z.number().positive().optional(),
  source: Source,
})
export type HoldRule = z.infer<typeof HoldRule>
