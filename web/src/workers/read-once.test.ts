import { readOnce } from './read-once'

test('what was read is kept until it is out of date, and a failed read is not', async () => {
  let reads = 0
  const once = readOnce(async () => {
    reads++
    if (reads === 1) throw new Error('no')
    return reads
  })
  await expect(once.get()).rejects.toThrow('no')
  expect(await Promise.all([once.get(), once.get()])).toEqual([2, 2])
  once.forget()
  expect([await once.get(), reads]).toEqual([3, 3])
})
