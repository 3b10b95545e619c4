import { expect, it } from 'vitest'
import { gatherReloads } from './gatherReloads.ts'

const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

it('two hundred late entries about one animal are one question', async () => {
  const asked: string[][] = []
  const reload = gatherReloads(async (subjects) => void asked.push(subjects), { gatherMs: 1 })
  for (let count = 0; count < 200; count += 1) reload('tamsin')
  await later(20)
  expect(asked).toEqual([['tamsin']])
})

it('what is asked for while an answer is under way is asked for after it, and a failure stops nothing', async () => {
  const asked: string[][] = []
  const reload = gatherReloads(
    async (subjects) => {
      asked.push(subjects)
      if (asked.length === 1) {
        reload('bollard')
        throw new Error('Cut off.')
      }
    },
    { gatherMs: 1 },
  )
  reload('tamsin')
  await later(20)
  reload('caulk')
  await later(20)
  expect(asked).toEqual([['tamsin'], ['bollard'], ['caulk']])
})
