export * from './offers'
