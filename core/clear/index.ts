export * from './may-list'
