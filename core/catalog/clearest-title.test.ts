import { clearestTitle } from './clearest-title'

test('the title whose words most of the others have too; of equals the shorter', () => {
  expect(clearestTitle(['Wow bargain feeder', 'Oak bird feeder', 'Bird feeder oak, 2 l', 'Oak bird feeder'])).toBe(
    'Oak bird feeder',
  )
  expect(clearestTitle(['Oak feeder!!', 'Oak feeder', 'Feeder oak.'])).toBe('Oak feeder')
  expect(clearestTitle(['Feeder of oak', 'Oak feeder'])).toBe('Oak feeder')
  // "oak" stands in three, "feeder" in two, "bird" and "lamp" in one each: 3 is more than 5/2 and 4/2
  expect(clearestTitle(['oak lamp', 'oak feeder', 'oak', 'bird feeder'])).toBe('oak')
})

test('a short title of which the others have nothing is not it', () => {
  expect(clearestTitle(['Lamp', 'Oak bird feeder', 'Bird feeder made of oak'])).toBe('Oak bird feeder')
  // signs alone say nothing, however short
  expect(clearestTitle(['lamp', 'Oak feeder ü', 'ß', 'Oak feeder ü 2'])).toBe('Oak feeder ü')
})

test('one title is what it is; of none there is none', () => {
  expect(clearestTitle(['Oak feeder'])).toBe('Oak feeder')
  expect(clearestTitle(['Oak feeder', 'Oak feeder'])).toBe('Oak feeder')
  expect(clearestTitle([])).toBe('')
})

test('what is shouted counts only where all do, and signs alone are no words', () => {
  expect(clearestTitle(['OAK FEEDER', 'OAK FEEDER', 'Feeder of oak wood'])).toBe('Feeder of oak wood')
  expect(clearestTitle(['OAK FEEDER NEW', 'OAK FEEDER'])).toBe('OAK FEEDER')
  expect(clearestTitle(['***', 'Oak feeder', '!'])).toBe('Oak feeder')
})
