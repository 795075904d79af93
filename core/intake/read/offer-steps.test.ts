import { exportedColumns } from '../../exports'
import { importRows } from './import-rows'
import { openFile } from '../open/open-file'
import { proposeMapping } from '../recognise/propose-mapping'

test('price steps in rows of their own become one offer with its steps, in whatever order they stand', async () => {
  const csv =
    'Ref;Bezeichnung;ab Menge;Preis\nB;Leine;10;1,80\nA;Glocke;1;4,00\nB;Leine;1;2,00\nA;Glocke;50;3,20\nC;Matte;;9,00\nD;Uhr;5;frei\n'
  const file = await openFile(new File([csv], 'staffel.csv'))
  const { mapping } = proposeMapping(file, Date.UTC(2026, 11, 1))
  expect(mapping.columns.map((c) => c.as === 'field' && c.field)).toEqual(['id', 'title', 'tierFrom', 'price'])
  const { table, taken, rejected } = await importRows(file, { ...mapping, supplier: 'S', currency: 'EUR' })
  const column = (name: string) => exportedColumns([table], 'offers').find((c) => c.name === name)?.values
  expect([taken, rejected.length]).toEqual([5, 1])
  expect(column('id')).toEqual(['B', 'A', 'C'])
  expect(column('tiers')).toEqual(['1:2;10:1.8', '1:4;50:3.2', '1:9'])
  expect(column('price')).toEqual([2, 4, 9])
})
