export * from './may-list'
export * from './status-of'
