import { brokenRow, parsed } from './record-rows'

test('what is no record is a row with the first 2,000 characters of its text', () => {
  expect(brokenRow('  {"id": 1,  ', 4)).toEqual({ row: 4, cells: ['{"id": 1,'] })
  expect(brokenRow('x'.repeat(5000), 9).cells).toEqual(['x'.repeat(2000)])
  expect(parsed('{"id": 1,')).toBeUndefined()
})
