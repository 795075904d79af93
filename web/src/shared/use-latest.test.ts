import { mount } from '@vue/test-utils'
import { nextTick, ref, type ShallowRef } from 'vue'
import { useLatest } from './use-latest'

/** Answers that come when they are told to, to a question that changes. */
function setup(options?: { isClearedFirst: boolean }) {
  const source = ref(0)
  const open: { resolve: (v: string) => void; reject: (e: Error) => void }[] = []
  const failed: string[] = []
  let answer: ShallowRef<string | null> | undefined
  const ask = () => new Promise<string>((resolve, reject) => open.push({ resolve, reject }))
  mount(
    {
      setup: () => {
        answer = useLatest([source], ask, options)
        return () => null
      },
    },
    { global: { config: { errorHandler: (e: unknown) => void failed.push((e as Error).message) } } },
  )
  const later = () => new Promise((resolve) => setTimeout(resolve))
  async function askAgain() {
    source.value++
    await nextTick()
  }
  return { open, failed, later, askAgain, answer: () => answer?.value }
}

test('of several answers on their way the latest question alone counts', async () => {
  const { open, answer, later, askAgain } = setup()
  await askAgain()
  open[1]!.resolve('second')
  await later()
  expect(answer()).toBe('second')
  open[0]!.resolve('first')
  await later()
  expect(answer()).toBe('second')
})

test('the answer before stays until the next is here, or goes at once', async () => {
  for (const isClearedFirst of [false, true]) {
    const { open, answer, later, askAgain } = setup({ isClearedFirst })
    open[0]!.resolve('first')
    await later()
    await askAgain()
    expect(answer()).toBe(isClearedFirst ? null : 'first')
    open[1]!.resolve('second')
    await later()
    expect(answer()).toBe('second')
  }
})

test('where the latest fails there is no answer, and it is told; where an older one does, nothing changes', async () => {
  const { open, answer, failed, later, askAgain } = setup()
  open[0]!.resolve('first')
  await later()
  await askAgain()
  await askAgain()
  open[2]!.resolve('third')
  open[1]!.reject(new Error('late'))
  await later()
  expect(answer()).toBe('third')
  await askAgain()
  open[3]!.reject(new Error('broken'))
  await later()
  expect(answer()).toBeNull()
  expect(failed).toEqual(['late', 'broken'])
})
