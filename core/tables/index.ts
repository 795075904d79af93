export * from './row-reader'
export * from './table'
export * from './table-builder'
