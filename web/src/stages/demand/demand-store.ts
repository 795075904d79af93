import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'

/** What is looked at in Demand: a branch of the tree, and one term or two. */
export const useDemand = defineStore('demand', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const words = ref('')
  /** The branch that the address names. */
  const named = ref('')
  const market = ref<string | null>(null)
  const term = ref<string | null>(null)
  const other = ref<string | null>(null)
  const lens = useLens()
  const version = () => workspace.version
  const through = () => lens.markets

  const tree = useLatest([words, through, version], async () =>
    workspace.version === 0 ? null : services.engine.call('tree', [words.value, plain(lens.markets)]),
  )
  const field = useLatest([market, through, version], async () =>
    workspace.version === 0 ? null : services.engine.call('terms', [market.value, plain(lens.markets)]),
  )
  const look = useLatest([term, through, version], async () =>
    term.value === null || workspace.version === 0
      ? null
      : services.engine.call('term', [term.value, plain(lens.markets)]),
  )
  const against = useLatest([other, through, version], async () =>
    other.value === null || workspace.version === 0
      ? null
      : services.engine.call('term', [other.value, plain(lens.markets)]),
  )
  const wordings = useLatest([look, against], async () =>
    look.value && against.value
      ? services.engine.call('wordings', [look.value.term.phrase, against.value.term.phrase, plain(lens.markets)])
      : null,
  )
  // A word may leave the named branch empty: then it is looked at from the top, and from the branch again without the word.
  const branch = computed(() =>
    tree.value && !tree.value.branches.some((b) => b.path === named.value) ? '' : named.value,
  )
  const themes = useLatest([branch, through, version], async () =>
    branch.value === '' || workspace.version === 0
      ? null
      : services.engine.call('themes', [branch.value, plain(lens.markets)]),
  )
  const here = computed(() => tree.value?.branches.find((b) => b.path === branch.value) ?? null)
  const below = computed(() =>
    (tree.value?.branches ?? [])
      .filter((b) => b.parent === branch.value)
      .sort((a, b) => (b.sellThrough?.low ?? -1) - (a.sellThrough?.low ?? -1)),
  )
  return { words, named, branch, market, term, other, tree, field, look, against, wordings, themes, here, below }
})
