export * from './own-goods'
export * from './own-matcher'
export * from './pasted-goods'
