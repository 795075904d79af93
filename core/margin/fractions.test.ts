import { readFileSync } from 'node:fs'
import { blankInputs, costSheet, workOut, type CostInputs } from '.'

/** Made by scripts/fixtures/sheets.py with Python's `fractions`: every line worked out exactly and rounded once. */
const sheets = (
  JSON.parse(
    readFileSync(process.env.SICKLE_SHEETS ?? new URL('./fixtures/python-sheets.json', import.meta.url), 'utf8'),
  ) as {
    inputs: CostInputs
    priceE4: number
    lines: Record<string, number>
    netRevenueE4: number
    landedE4: number
    outlayE4: number
    profitE4: number
    exactE4: number
  }[]
).map((s) => ({ ...s, inputs: { ...blankInputs(s.inputs.currency), ...s.inputs } }))

test('every printed line of random sheets is what exact fractions make of it, rounded once', () => {
  expect(sheets.length).toBeGreaterThanOrEqual(400)
  const wrong = sheets.flatMap(({ inputs, priceE4, lines }, i) => {
    const sheet = costSheet(inputs, priceE4)
    const got = Object.fromEntries(sheet.lines.filter((l) => l.amountE4 !== 0).map((l) => [l.id, l.amountE4]))
    const same = Object.keys({ ...got, ...lines }).every((id) => got[id] === lines[id])
    return same ? [] : { i, got, lines }
  })
  expect(wrong).toEqual([])
})

test('net revenue, landed cost, outlay and profit are the sums of those lines, and what is said of them their shares', () => {
  for (const { inputs, priceE4, netRevenueE4, landedE4, outlayE4, profitE4 } of sheets) {
    const sheet = costSheet(inputs, priceE4)
    expect(sheet).toMatchObject({ netRevenueE4, landedE4, outlayE4, profitE4 })
    const share = (of: number) => (of > 0 ? profitE4 / of : null)
    const { margin, returnOnOutlay, markUp } = sheet
    expect([margin, returnOnOutlay, markUp]).toEqual([share(netRevenueE4), share(outlayE4), share(landedE4)])
  }
})

test('before it is rounded, the profit is what exact fractions make of it to a millionth of the smallest part', () => {
  for (const { inputs, priceE4, exactE4 } of sheets)
    expect(workOut(inputs, priceE4, false).profitE4).toBeCloseTo(exactE4, 5)
})
