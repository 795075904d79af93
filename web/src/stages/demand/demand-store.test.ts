import { flushPromises } from '@vue/test-utils'
import { useWorkspace } from '@/shared/stores/workspace'
import { testBench, inPlace } from '@/testing/workbench'
import { useDemand } from './demand-store'

const parentOf = (path: string) => (path === '' ? null : path.split(' / ').slice(0, -1).join(' / '))
const branch = (path: string) => ({ path, parent: parentOf(path), sellThrough: null })
const branchesOf: Record<string, string[]> = {
  '': ['', 'Garden', 'Garden / Planters', 'Kitchen'],
  spoon: ['', 'Kitchen'],
}

test('a word that leaves the branch empty shows the top; without the word the named branch is there again', async () => {
  const asked: string[] = []
  testBench({
    engine: inPlace({
      tree: (_, words: string) => ({ branches: (branchesOf[words] ?? []).map(branch), best: null }),
      terms: () => null,
      themes: (_, path: string) => {
        asked.push(path)
        return { themes: [], of: 1 }
      },
    }) as never,
  })
  useWorkspace().version = 1
  const demand = useDemand()
  demand.named = 'Garden'
  await flushPromises()
  expect(demand.here?.path).toBe('Garden')
  expect(demand.below.map((b) => b.path)).toEqual(['Garden / Planters'])
  demand.words = 'spoon'
  await flushPromises()
  expect([demand.branch, demand.here?.path]).toEqual(['', ''])
  expect(demand.below.map((b) => b.path)).toEqual(['Kitchen'])
  expect(demand.themes).toBeNull()
  demand.words = ''
  await flushPromises()
  expect(demand.branch).toBe('Garden')
  expect(new Set(asked)).toEqual(new Set(['Garden']))
})
