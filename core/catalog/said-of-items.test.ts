import { noCorrections } from './rules'
import { SaidOfItems } from './said-of-items'

test('all that was said of an item stands together, and nothing where nothing was said', () => {
  const said = new SaidOfItems({
    ...noCorrections,
    packs: { 'Marrowgate/A1': 6, 'offer:9': 2 },
    offers: { 'Marrowgate/A1': '', 'Gavelhop/7': 'offer:9' },
    costs: { 'Gavelhop/7': { packingE4: 4000 } },
    cleared: { 'Openstall/3': { reason: 'own design', at: 0 } },
  })
  expect(said.of('Marrowgate/A1')).toEqual({ pack: 6, offer: '' })
  expect(said.of('Gavelhop/7')).toEqual({ offer: 'offer:9', costs: { packingE4: 4000 } })
  expect(said.of('Openstall/3')).toEqual({ isCleared: true })
  expect(said.of('Openstall/4')).toEqual({})
})
