export * from './around'
export * from './merge-terms'
export * from './phrase'
export * from './term'
