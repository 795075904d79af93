export * from './worth'
export * from './decisions'
