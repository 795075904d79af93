/** A cell of a file as it was read, before anything is made of it. */
export type Cell = string | number | boolean | null

export function isBlank(cell: Cell | undefined): boolean {
  return cell === null || cell === undefined || (typeof cell === 'string' && cell.trim() === '')
}
