export * from './table'
export * from './table-builder'
