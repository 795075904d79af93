import { readFileSync } from 'node:fs'
import { blankInputs, costSheet, type CostInputs } from '.'

/** Made by scripts/fixtures/sheets.py with Python's `fractions`: every line worked out exactly and rounded once. */
const sheets = JSON.parse(
  readFileSync(process.env.SICKLE_SHEETS ?? new URL('./fixtures/python-sheets.json', import.meta.url), 'utf8'),
) as { inputs: CostInputs; priceE4: number; lines: Record<string, number>; profitE4: number }[]

test('every printed line of random sheets is what exact fractions make of it, rounded once', () => {
  expect(sheets.length).toBeGreaterThanOrEqual(400)
  const wrong = sheets.flatMap(({ inputs, priceE4, lines, profitE4 }, i) => {
    const sheet = costSheet({ ...blankInputs(inputs.currency), ...inputs }, priceE4)
    const got = Object.fromEntries(sheet.lines.filter((l) => l.amountE4 !== 0).map((l) => [l.id, l.amountE4]))
    const same = Object.keys({ ...got, ...lines }).every((id) => got[id] === lines[id])
    return same && sheet.profitE4 === profitE4 ? [] : { i, got, lines, profitE4, profit: sheet.profitE4 }
  })
  expect(wrong).toEqual([])
})
