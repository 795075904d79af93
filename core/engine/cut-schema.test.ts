import { checkCut, cutSchema, cutsNow, cutsSchema, emptyQuery, readCut, shippedCuts } from '.'
import { firstFault } from '../schema'

const cut = { name: 'Mine', query: { limits: { price: [1, 20] } } }
const withQuery = (some: object) => ({ ...cut, query: { ...cut.query, ...some } })

test('a Cut from a file is open where it says nothing, and what ships passes the same schema', () => {
  expect(readCut(cut)).toEqual({ name: 'Mine', ships: false, query: { ...emptyQuery, limits: { price: [1, 20] } } })
  for (const shipped of shippedCuts) expect(firstFault(cutSchema, shipped)).toBeNull()
  const earlier = {
    name: 'Old',
    ships: false,
    query: { words: 'bird', limits: {}, sort: { by: 'units', descending: true } },
  }
  expect(firstFault(cutsSchema, cutsNow([earlier]))).toBeNull()
})

test.each([
  [null, 'it is no Cut'],
  ['x', 'it is no Cut'],
  [[cut], 'it is no Cut'],
  [{}, 'query is missing'],
  [{ name: 'x' }, 'query is missing'],
  [{ ...cut, name: '' }, 'name is missing'],
  [{ ...cut, name: '   ' }, 'name is blank'],
  [{ ...cut, name: 5 }, 'name must be a text'],
  [{ ...cut, name: 'x'.repeat(81) }, 'name is longer than 80 letters'],
  [{ ...cut, query: [] }, 'query must be an object'],
  [withQuery({ limits: [] }), 'limits of query must be an object'],
  [withQuery({ limits: { luck: [0, 1] } }), 'limits of query has no measure luck'],
  [withQuery({ limits: JSON.parse('{"__proto__":[0,1]}') as object }), 'limits of query has no measure __proto__'],
  [withQuery({ limits: { price: [20, 1] } }), 'price of limits of query must be two numbers'],
  [withQuery({ limits: { price: ['1', 2] } }), 'price of limits of query must be two numbers'],
  [withQuery({ limits: { price: [1] } }), 'price of limits of query must be two numbers'],
  [withQuery({ limits: { price: null } }), 'price of limits of query must be two numbers'],
  [withQuery({ words: 5 }), 'words of query must be a text'],
  [withQuery({ markets: 'Marrowgate' }), 'markets of query must be a list'],
  [withQuery({ markets: [''] }), 'market 1 of query is missing'],
  [withQuery({ sort: { by: 'luck', descending: true } }), 'by of sort of query must be one of'],
  [withQuery({ sort: null }), 'sort of query is missing'],
  [withQuery({ sort: { by: 'worth', descending: 'yes' } }), 'descending of sort of query must be yes or no'],
  [withQuery({ colour: 'red' }), 'query has parts that are not known: colour'],
])('the Cut %j is refused: %s', (json, reason) => {
  expect(() => readCut(json)).toThrow(`This Cut cannot be read: ${reason}`)
})

test('what the seller makes is judged alike', () => {
  const query = { ...emptyQuery, limits: { price: [9, 1] as [number, number] } }
  expect(() => checkCut({ name: 'x', ships: false, query })).toThrow('the lower first')
})
