export * from './trail'
