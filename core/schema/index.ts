export * from './checked'
export * from './parts'
