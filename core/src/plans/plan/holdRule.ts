import * as z from 'zod/mini'
import { HoldKind } from '../../facts/holds/holdKind.ts'
import { DutyKind } from './duty.ts'
import { Source } from './source.ts'

/** What a hold stops, how long it should last, and when its silence becomes a worry. */
export const HoldRule = z.strictObject({
  hold: HoldKind,
  suppresses: z.array(DutyKind),
  /** Days from its start to the end that is usual. Without it the end is whatever a person set. */
  days: z.optional(z.number().check(z.nonnegative())),
  /** Days from its start after which somebody should look. Defaults to the usual end. */
  worryAfter: z.optional(z.number().check(z.nonnegative())),
  /** 'time': over when its days are over. 'event': lasts until a fact ends it. */
  endsBy: z.enum(['time', 'event']),
  /** For digesting: only meals of at least this share of body weight. */
  fromMassShare: z.optional(z.number().check(z.positive())),
  source: Source,
})
export type HoldRule = z.infer<typeof HoldRule>
