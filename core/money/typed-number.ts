/** How a person writes numbers: the mark before the decimals; the other one groups thousands. */
export type DecimalMark = '.' | ','

export interface TypedOptions {
  /** default '.' */
  decimal?: DecimalMark
  /** only whole numbers make sense here (default false) */
  whole?: boolean
  /** digits behind the mark that make sense here, such as a currency's minor digits (default: any) */
  digits?: number | null
}

/** What was typed, as a plain number's text ('1234.5'), or why it cannot be taken. */
export type TypedNumber = { plain: string; fault: null } | { plain: null; fault: string }

/** longer than any number that a person types */
const longest = 40

/**
 * Reads a number that a person typed, the one way for all fields: grouping and decimal mark as the settings say; signs of currency and
 * percent, and spaces or apostrophes between groups, may stand in it. What is written the other way is taken where it can be read in
 * one way only. What can be read in two ways is refused with both readings.
 *
 * @example readTyped('1,200', { decimal: '.' }).plain // '1200'
 * @example readTyped('4,50', { decimal: '.' }).plain // '4.50': as a group it would make no sense
 * @example readTyped('1.200', { decimal: '.', digits: 2 }).fault // 'Can be read as 1.2 or as 1200. …'
 */
export function readTyped(
  text: string,
  { decimal = '.', whole = false, digits = null }: TypedOptions = {},
): TypedNumber {
  if (text.length > longest) return refuse('This is no number')
  const bare = bareTyped(text)
  if (bare === '') return refuse('This is no number')
  const own = readAs(bare, decimal)
  const other = readAs(bare, decimal === '.' ? ',' : '.')
  if (own === null && other === null) return refuse(`'${text.trim()}' is no number`)
  const plain = own ?? other ?? ''
  if (own !== null && other !== null && Number(own) !== Number(other)) {
    // The settings decide, but for a group of three digits that would be decimals where none such make sense.
    const decimals = own.split('.')[1]?.length ?? 0
    if (decimals === 3 && (whole || (digits !== null && digits < 3)))
      return refuse(
        `'${text.trim()}' can be read as ${Number(own)} or as ${Number(other)}: write ${own.replace('.', decimal)}0 or ${other}`,
      )
  }
  if (whole && !Number.isInteger(Number(plain))) return refuse(`'${text.trim()}' is no whole number`)
  return { plain, fault: null }
}

function refuse(fault: string): TypedNumber {
  return { plain: null, fault }
}

/** Without signs at the ends, and without spaces and apostrophes between digits. */
function bareTyped(text: string): string {
  return text
    .normalize('NFKC')
    .trim()
    .replace(/^([-+\u2212]?) ?(?:\p{Sc}|[A-Z]{3}) ?/u, '$1')
    .replace(/ ?(?:%|\p{Sc}|[A-Z]{3})$/u, '')
    .replace(/\u2212/g, '-')
    .replace(/^\+/, '')
    .replace(/(?<=\d)[ '\u2019](?=\d{3})/g, '')
}

function readAs(bare: string, decimal: DecimalMark): string | null {
  const group = decimal === '.' ? ',' : '.'
  const [whole = '', ...decimals] = bare.split(decimal)
  if (decimals.length > 1 || (decimals.length === 1 && !/^\d+$/.test(decimals[0] ?? ''))) return null
  const groups = whole.replace(/^-/, '').split(group)
  const isGrouped =
    groups.length === 1 || (/^\d{1,3}$/.test(groups[0] ?? '') && groups.slice(1).every((g) => /^\d{3}$/.test(g)))
  if (!isGrouped || !/^\d*$/.test(groups.join('')) || (groups.join('') === '' && decimals.length === 0)) return null
  return `${whole.startsWith('-') ? '-' : ''}${groups.join('') || '0'}${decimals.length === 1 ? `.${decimals[0]}` : ''}`
}

/** A plain number's text as this person writes it. */
export function asTyped(plain: string, decimal: DecimalMark): string {
  return decimal === ',' ? plain.replace('.', ',') : plain
}
