import { clipMakes, clipTrial } from './clip-trials'

test.each(clipMakes)('the 80 % range of a clip’s earnings holds for creators who were left out: $name', (make) => {
  const { tried, held } = clipTrial(make, 16)
  expect(tried).toBeGreaterThan(800)
  expect(held / tried).toBeGreaterThan(0.72)
  expect(held / tried).toBeLessThan(0.88)
})
