import * as z from 'zod/mini'

export const Severity = z.enum(['info', 'watch', 'act', 'urgent'])
export type Severity = z.infer<typeof Severity>
