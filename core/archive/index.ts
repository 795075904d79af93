export * from './unpack-entry'
export * from './zip-entries'
