export * from './concentration'
export * from './room-of'
export * from './price-spread'
export * from './competing'
