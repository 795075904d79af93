import { mount } from '@vue/test-utils'
import { computed, defineComponent, h, ref, type Ref } from 'vue'
import { decimalMarkKey, useTyped } from './use-typed'

/** A field over a value of its own. */
function field(start: string, decimal: '.' | ',' = '.') {
  const value: Ref<string> = ref(start)
  const changes: string[] = []
  let typed!: ReturnType<typeof useTyped>
  mount(
    defineComponent({
      setup() {
        typed = useTyped({
          shown: () => value.value,
          options: () => ({}),
          check: (plain) => (Number(plain) > 100 ? 'too much' : null),
          change: (plain) => {
            changes.push(plain)
            value.value = plain
          },
          clear: () => void (value.value = ''),
        })
        return () => h('i')
      },
    }),
    { global: { provide: { [decimalMarkKey as symbol]: computed(() => decimal) } } },
  )
  const type = async (text: string) => {
    typed.text.value = text
    typed.typed()
    await Promise.resolve()
    return { shown: typed.text.value, fault: typed.fault.value }
  }
  return { type, changes, value }
}

test('what is typed is read, handed over and shown as it is kept', async () => {
  const { type, changes } = field('2.00', ',')
  expect(await type('12,5')).toEqual({ shown: '12,5', fault: null })
  expect(changes).toEqual(['12.5'])
})

test('what does not do stays, with the reason, and changes nothing', async () => {
  const { type, changes, value } = field('2.00')
  expect(await type('250')).toEqual({ shown: '250', fault: 'too much' })
  expect((await type('abc')).fault).toBe("'abc' is no number")
  expect([changes, value.value]).toEqual([[], '2.00'])
  expect(await type('2.00')).toEqual({ shown: '2.00', fault: null })
})

test('the same figure in other words is no change, and is shown as it is kept', async () => {
  const { type, changes } = field('2.00')
  expect(await type('2')).toEqual({ shown: '2.00', fault: null })
  expect(changes).toEqual([])
})

test('emptied, it is cleared', async () => {
  const { type, value } = field('2.00')
  await type('  ')
  expect(value.value).toBe('')
})
