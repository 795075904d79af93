import { newestAnswer } from './newest-answer'

const later = () => new Promise((resolve) => setTimeout(resolve))

test('while an answer is awaited only the newest question waits, and it is answered', async () => {
  let question = 0
  const answered: number[] = []
  const open: (() => void)[] = []
  const { ask, settled } = newestAnswer(async () => {
    const mine = question
    await new Promise<void>((resolve) => open.push(resolve))
    answered.push(mine)
  })
  await settled()
  for (question = 1; question < 4; question++) {
    void ask()
    await later()
  }
  expect(open).toHaveLength(1) // the second and third wait
  question = 3
  open[0]!()
  await later()
  expect(open).toHaveLength(2)
  open[1]!()
  await settled()
  expect(answered).toEqual([1, 3])
})

test('one that fails is told to whoever asked, and the next is answered', async () => {
  let isBroken = true
  const { ask } = newestAnswer(async () => {
    if (isBroken) throw new Error('broken')
  })
  await expect(ask()).rejects.toThrow('broken')
  isBroken = false
  await expect(ask()).resolves.toBeUndefined()
})
