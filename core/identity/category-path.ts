/** The branches of a category path, broad to narrow, however they are joined. @example categoryParts('Garden/Tools') // ['Garden', 'Tools'] */
export function categoryParts(path: string): string[] {
  return path
    .split(/[|>/›»]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
}

/** A category path as Sickle keeps it, so that those of two markets meet. @example categoryPath('Garden>Tools') // 'Garden / Tools' */
export function categoryPath(path: string): string {
  return categoryParts(path).join(' / ')
}
