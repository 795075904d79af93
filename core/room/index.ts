export * from './concentration'
export * from './room-of'
