export * from './problem'
export { sentences, type ProblemCode } from './sentences'
