export * from './worth'
export * from './decisions'
export * from './since-decided'
export * from './improvements'
