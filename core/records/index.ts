export type { Capture } from './capture'
export * from './record-kinds'
export type { listings } from './kinds/listings'
export { template } from './template'
