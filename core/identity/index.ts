export * from './gtin'
export * from './day'
