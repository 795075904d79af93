export type { Capture } from './capture'
export * from './record-kinds'
export { template } from './template'
