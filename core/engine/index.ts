export * from './cuts'
export { branches, Finder } from './finder'
export * from './measures'
export * from './query'
