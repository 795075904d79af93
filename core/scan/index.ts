export * from './compare-scans'
export {
  contract,
  identities,
  isContractPath,
  isListName,
  lists,
  mostPerPage,
  narrowedBy,
  type ListName,
} from './contract'
export { fetchPages, type Fetched, type FetchPagesOptions } from './fetch-pages'
export { pageReader, type ReadPage, type SourcePage } from './read-page'
export { runScan, type RunScanOptions } from './run-scan'
export * from './scan-entry'
export { limitLabels, scanFilter, type LimitName } from './scan-filter'
export * from './scan-plan'
export type { ScanSource, ScanStore, SourceAbout } from './scan-ports'
