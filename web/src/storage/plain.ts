/** Plain data without reactive wrappers, for workers, storage and files. */
export function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}
