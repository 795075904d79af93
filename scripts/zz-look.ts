import { lookAt } from './estimate-worlds'
lookAt(process.argv[2] ?? 'other')
