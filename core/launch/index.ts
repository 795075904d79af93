export * from './draft'
export { draftsFromCsv, draftsToCsv } from './drafts-csv'
export * from './drafts-jsonld'
export * from './suggest-words'
