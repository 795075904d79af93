import { draftSchema } from '@sickle/core/launch'
import { firstFault } from '@sickle/core/schema'
import { draftsOfDesign } from '@/stages/supply/design-drafts'
import { testBench } from '@/testing/workbench'
import { plain } from '@/storage/plain'
import { useDesigns } from './designs'
import { useRules } from './rules'
import { useWorkspace } from './workspace'

const blanksCsv = `Ref,Title,Print areas,Base price (EUR),Price per print (EUR),Delivery,Lead time
M1,"Mug, white, 330 ml",wrap|handle,4.10,1.60,3.90,3-5 days
T1,"Tea towel, cotton",front,5.20,2.40,3.90,4 days
`

test('a design goes on blanks of a file, each is costed, and becomes a draft', async () => {
  const bench = testBench()
  await bench.bring('blanks.csv', blanksCsv, { supplier: 'Saltings Print' })
  const designs = useDesigns()
  await Promise.all([designs.load(), useRules().load()])
  await useWorkspace().reload()
  await designs.add(' Robin ', 'Fernhand')
  await expect(designs.add('robin', 'Fernhand')).rejects.toMatchObject({ code: 'document-invalid' })
  const { id } = designs.list[0]!
  const blanks = await bench.services.engine.call('blanks', ['Fernhand'])
  expect(blanks.map((b) => [b.name, b.offer.printAreas, b.like.items])).toEqual([
    ['mug', ['wrap', 'handle'], 0],
    ['tea towel', ['front'], 0],
  ])
  const [mug, towel] = blanks.map((b) => b.offer.key) as [string, string]
  await designs.toggle(id, mug)
  await designs.toggle(id, towel)
  await designs.toggle(id, towel)
  await designs.setBlank(id, mug, { prints: 2, priceE4: 200_000 })
  await expect(designs.setBlank(id, mug, { prints: 0 })).rejects.toMatchObject({ code: 'document-invalid' })
  expect(designs.list[0]?.blanks).toEqual([{ offer: mug, prints: 2, priceE4: 200_000 }])
  const on = { market: 'Fernhand', margin: 0.25 }
  const lines = await bench.services.engine.call('designSheet', [plain(designs.list[0]!.blanks), on])
  // 4.10 + 2 × 1.60 + 3.90; fees of 15 % and 3 % are assumed: 3.00 and 0.60
  expect(lines[0]).toMatchObject({ landedE4: 112_000, profitE4: 52_000, assumed: ['fees'] })
  const names = new Map(blanks.map((b) => [b.offer.key, b.name]))
  const [draft] = draftsOfDesign(designs.list[0]!, lines, { names, home: 'EUR' })
  expect(draft).toMatchObject({
    title: 'Robin mug',
    market: 'Fernhand',
    priceE4: 200_000,
    profitE4: 52_000,
    handlingDays: 5,
  })
  expect(firstFault(draftSchema, draft)).toBeNull()
  await designs.remove(id)
  expect(designs.list).toEqual([])
})
