export * from './amount'
export * from './rates'
export * from './recognise-currency'
export * from './typed-number'
