export * from './posted-about'
