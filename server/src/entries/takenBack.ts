import { sql } from 'drizzle-orm'

/** Whether somebody took the entry `one` back. */
export const IS_TAKEN_BACK = sql`exists (
  select 1 from entry as back
  where back.subject = one.subject and back.kind = 'retracted'
    and json_value(back.payload, '$.target') = one.uid)`
