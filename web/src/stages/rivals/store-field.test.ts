import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { useWorkspace } from '@/shared/stores/workspace'
import { room } from '@/testing/told-room'
import { until } from '@/testing/until'
import { testBench } from '@/testing/workbench'
import { useRivals } from './rivals-store'
import StoreField from './StoreField.vue'

const storesCsv = `Store,Market,Opened on,Total sold,Listings
Hedge End Co.,Marrowgate,2026-01-01,40000,80
Quay Perch,Marrowgate,2024-06-01,900,12
Sill Life,Marrowgate,2022-03-01,120,5
`
const painted: ImageData[] = []
let labels: () => string[]
let rivals: ReturnType<typeof useRivals>

beforeAll(async () => {
  globalThis.ImageData = class {
    constructor(
      readonly data: Uint8ClampedArray,
      readonly width: number,
      readonly height: number,
    ) {}
  } as never
  const paints = { putImageData: (picture: ImageData) => painted.push(picture) }
  HTMLCanvasElement.prototype.getContext = (() => paints) as never
  const bench = testBench()
  await bench.bring('stores.csv', storesCsv, { kind: 'stores' })
  await useWorkspace().reload()
  rivals = useRivals()
  await until(() => rivals.list !== null)
  const field = mount(StoreField)
  labels = () => field.findAll('.label').map((l) => l.text())
  await nextTick()
})

/** share of the picture that is not empty, and how strongly */
const ink = ({ data }: ImageData) => data.reduce((sum, part, at) => sum + (at % 4 === 3 ? part : 0), 0)

test('the field is painted once its room is known, and once', async () => {
  expect(painted.length).toBe(0)
  room.tell(600, 300)
  await nextTick()
  await nextTick()
  expect(painted.map(({ width, height }) => [width, height])).toEqual([[600, 300]])
  expect(labels().sort()).toEqual(['Hedge End Co.', 'Quay Perch', 'Sill Life'])
})

test('a brush paints once more: what it leaves as it was, all else faint', async () => {
  const whole = painted.at(-1) as ImageData
  rivals.setLimits({ unitsTotal: [500, null] })
  await nextTick()
  expect(painted.length).toBe(2)
  const brushed = painted.at(-1) as ImageData
  expect(ink(brushed)).toBeGreaterThan(0)
  expect(ink(brushed)).toBeLessThan(ink(whole))
  rivals.clear()
  await nextTick()
  expect(ink(painted.at(-1) as ImageData)).toBe(ink(whole))
})

test('the chosen one is painted larger, over the others', async () => {
  const whole = painted.at(-1) as ImageData
  rivals.choose(rivals.list?.names.indexOf('Quay Perch') ?? -1)
  await nextTick()
  expect(ink(painted.at(-1) as ImageData)).toBeGreaterThan(ink(whole))
})
