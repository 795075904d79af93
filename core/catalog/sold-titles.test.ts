import { buildCatalog } from '.'
import { soldTitles } from './sold-titles'
import { captureOf, listing, today } from './test-maker'

const catalogOf = () =>
  buildCatalog([
    // its market's figures reach to a day four hundred days later
    captureOf('listings', [listing('old', { title: 'Oak perch', category: 'Birds', units: 9 })], today - 400),
    captureOf('listings', [
      listing('1', { title: 'Slate bath', category: 'Birds', units: 7 }),
      listing('2', { title: 'Nest box', category: 'Birds', units: 0 }),
      listing('3', { title: 'Herb trough', category: 'Garden', units: 5 }),
      listing('4', { title: 'Seed bell', category: 'Birds', units: null }),
      listing('5', { title: 'Window feeder', category: 'Birds', units: 3 }),
      listing('6', { title: 'No shelf', category: null, units: 3 }),
    ]),
  ])

test('titles of a category as it is written, with the units that are known of each now', async () => {
  const catalog = await catalogOf()
  expect(soldTitles(catalog, 'Birds')).toEqual([
    { title: 'Slate bath', units: 7 },
    { title: 'Nest box', units: 0 },
    { title: 'Window feeder', units: 3 },
  ])
  expect(soldTitles(catalog, 'Garden')).toEqual([{ title: 'Herb trough', units: 5 }])
  expect([soldTitles(catalog, 'birds'), soldTitles(catalog, '')]).toEqual([[], []])
})

test('of those alone that are counted', async () => {
  const catalog = await catalogOf()
  const all = soldTitles(catalog, 'Birds').length
  const asked: number[] = []
  const none = soldTitles(catalog, 'Birds', (l) => {
    asked.push(l)
    return false
  })
  expect(none).toEqual([])
  // each of the category is asked about, whether its units are known or not
  expect(asked).toHaveLength(all + 2)
})
