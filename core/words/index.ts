export * from './log-odds'
export * from './title-words'
export * from './words-that-sell'
