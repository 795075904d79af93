export * from './unpack-entry'
export * from './zip-entries'
export * from './crc32'
