import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { v7 as uuidv7 } from 'uuid'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { smallSite } from '../testing/smallSite.ts'
import { checkRecord } from './check.ts'

let base: Scratch
beforeEach(async () => {
  base = await scratch(smallSite())
})
afterEach(() => base.drop())

const found = async () => [...new Set((await checkRecord(base.db)).map(({ what }) => what))]

describe('looking a record over', () => {
  it('finds nothing in a sound one', async () => {
    expect(await checkRecord(base.db)).toEqual([])
  })

  it.each([
    ['a fold that was lost', 'delete from subject where family = "resident" limit 1', 'withoutFold'],
    ['entries that were lost', 'delete from entry limit 1', 'gap'],
    ['an entry by nobody', `update entry set author_id = '${uuidv7()}' limit 1`, 'author'],
    [
      'an old entry under the name of somebody else',
      'update entry set author_id = (select id from staff where id <> author_id limit 1) limit 1',
      'seal',
    ],
    ['an entry that says something else', `update entry set payload = '{"text":"No."}' limit 1`, 'seal'],
    ['an entry of another day', 'update entry set day = day + interval 1 day limit 1', 'seal'],
    ['an entry of another family', "update entry set family = 'lot' limit 1", 'family'],
    [
      'a fold that claims too much',
      "update subject set up_to = '1:99999' where version > 0 limit 1",
      'ahead',
    ],
    ['somebody missing from the register', 'delete from resident limit 1', 'register'],
    [
      'somebody in a box that was taken away',
      `delete from enclosure where id = (
         select json_value(state, '$.stay.place.enclosure') from subject
         where family = 'resident' and json_type(json_extract(state, '$.stay.place')) = 'OBJECT' limit 1)`,
      'nowhere',
    ],
    [
      'a fold that was written by hand',
      `update subject set state = json_set(state, '$.stay.arrivedOn', 1) where family = 'resident' limit 1`,
      'fold',
    ],
  ] as const)('finds %s', async (_what, damage, what) => {
    await base.pool.query(damage)
    expect(await found()).toContain(what)
  })
})
