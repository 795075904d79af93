export * from './open/decode-text'
export { findHeading } from './open/find-heading'
export type { ColumnUse, ColumnGuess, KindGuess, Surety } from './recognise/guess'
export { Recogniser } from './recognise/guess-columns'
export type { Mapping } from './mapping'
export * from './rejected-rows'
export type { ColumnStyle } from './recognise/column-style'
export * from './recognise/holding'
export * from './recognise/learned'
export { answerOf, answerTo, openQuestions, type Question } from './recognise/questions'
export * from './read/import-rows'
export { readBlocks } from './open/open-delimited'
export { edgeBuffers, type EdgeArrays } from './bytes/split-bytes'
export { openFile } from './open/open-file'
export {
  limits,
  type BlockForm,
  type BlockStep,
  type FileSource,
  type OpenedFile,
  type OpenOptions,
} from './open/opened-file'
export * from './read/preview-rows'
export * from './recognise/propose-mapping'
export { readValue } from './read/read-value'
export { recordReader } from './read/read-record'
export * from './recognise/shape-of'
