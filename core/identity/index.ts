export * from './gtin'
export * from './day'
export { categoryParts, categoryPath } from './category-path'
