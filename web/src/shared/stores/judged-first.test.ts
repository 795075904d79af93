import { testBench } from '@/testing/workbench'
import { useJudgements } from './judgements'
import { useSettings } from './settings'
import { useSheaf } from './sheaf'

const snapshot = { title: 'Nest box', picture: null, profitE4: null, units: null, listings: 1 }
const event = (key: string, action: 'keep' | 'hold' | 'drop') => ({ key, action, text: '', snapshot })

test('where judging comes first, what is not judged is not kept, one by one or many at once', async () => {
  testBench()
  const [sheaf, settings, judgements] = [useSheaf(), useSettings(), useJudgements()]
  await sheaf.record(event('a', 'keep'))
  await settings.change({ judgeFirst: true })
  await expect(sheaf.record(event('b', 'keep'))).rejects.toMatchObject({
    code: 'not-judged',
    message: expect.stringContaining('“Nest box” (and 0 more)') as string,
  })
  await sheaf.record(event('b', 'drop'))
  await judgements.toggle('b', 'bulky')
  await sheaf.record(event('b', 'keep'))
  await expect(
    sheaf.recordAll([event('b', 'keep'), event('c', 'keep'), event('d', 'keep')], 'many'),
  ).rejects.toMatchObject({
    code: 'not-judged',
  })
  await sheaf.recordAll([event('c', 'hold'), event('b', 'keep')], 'many')
  expect(sheaf.kept.map((d) => d.key).sort()).toEqual(['a', 'b'])
  // a point that is taken back is none
  await judgements.toggle('b', 'bulky')
  await expect(sheaf.record(event('b', 'keep'))).rejects.toMatchObject({ code: 'not-judged' })
  await settings.change({ judgeFirst: false })
  await sheaf.record(event('d', 'keep'))
})
