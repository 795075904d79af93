import { WrittenForms } from './title-words'

const formOf = (...written: string[]) => {
  const forms = new WrittenForms()
  for (const form of written) forms.add({ stems: 'feeder', written: form, length: 1 })
  return forms.of('feeder')
}

test('the form that is written most often stands for all, and of equals the first', () => {
  expect(formOf('feeders', 'feeder', 'feeder')).toBe('feeder')
  expect(formOf('feeder', 'feeders', 'feeder', 'feeders')).toBe('feeder')
  expect(formOf('feeder', 'feeders', 'feeding', 'feeding', 'feeders', 'feeding')).toBe('feeding')
  expect(formOf('feeder')).toBe('feeder')
})

test('what was never written is what its stems are', () => expect(formOf()).toBe('feeder'))
