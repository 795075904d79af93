/** The powers of ten within a logarithmic scale. */
export function decades([low = 1, high = 10]: number[]): number[] {
  const list: number[] = []
  for (let e = Math.ceil(Math.log10(low)); e <= Math.log10(high); e++) list.push(10 ** e)
  return list
}
