import { delimited, type Row } from './demo-rows'

/** A printer's blanks, as its price list has them: EUR, each print priced by itself. */
const blanks: Row[] = [
  ['SP-101', 'Mug, white, 330 ml', 'wrap|handle', 4.1, 1.6, 3.9, '3-5 days', 'IE', 'Kitchen / Mugs'],
  ['SP-102', 'Mug, enamel, 350 ml', 'wrap', 6.4, 1.9, 3.9, '3-5 days', 'IE', 'Kitchen / Mugs'],
  ['SP-110', 'Tea towel, cotton, 50 x 70 cm', 'front', 5.2, 2.4, 3.9, '3-5 days', 'IE', 'Kitchen / Tea towels'],
  ['SP-111', 'Tea towel, linen, 50 x 70 cm', 'front', 8.9, 2.4, 3.9, '4-6 days', 'IE', 'Kitchen / Tea towels'],
  ['SP-120', 'Tote bag, natural cotton', 'front|back', 4.6, 2.2, 3.9, '3-5 days', 'PL', 'Bags / Tote bags'],
  ['SP-121', 'Tote bag, heavy canvas, long handles', 'front|back', 7.8, 2.2, 3.9, '5-7 days', 'PL', 'Bags / Tote bags'],
  ['SP-130', 'Cushion cover, 45 x 45 cm', 'front|back', 7.1, 3.1, 4.9, '5-7 days', 'PL', 'Home / Cushions'],
  ['SP-140', 'Apron, adjustable', 'bib|pocket', 8.3, 2.6, 4.9, '5-7 days', 'PL', 'Kitchen / Aprons'],
  ['SP-150', 'Greeting card, A6, with envelope', 'front|inside', 0.9, 0.4, 2.1, '2-3 days', 'IE', 'Paper / Cards'],
  ['SP-160', 'Notebook, A5, 96 pages', 'front|back', 4.4, 1.2, 3.4, '3-5 days', 'IE', 'Paper / Notebooks'],
]

export function blanksFile(): string {
  const head = [
    'Blank',
    'Title',
    'Print areas',
    'Base price (EUR)',
    'Price per print (EUR)',
    'Delivery (EUR)',
    'Lead time',
    'Ships from',
    'Category',
  ]
  return delimited([head, ...blanks], ',')
}
