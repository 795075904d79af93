export * from './join-listings'
export * from './pack-count'
export * from './title-index'
export * from './title-signature'
