const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } }]
const base = {
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  moduleFileExtensions: ['ts', 'vue', 'mjs', 'js', 'json'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
}
const node = (displayName) => ({
  ...base,
  displayName,
  rootDir: displayName,
  testEnvironment: 'node',
  transform: { '\\.ts$': swc },
})
export default {
  // Ports between threads stay open as long as the process does.
  forceExit: true,
  // Generous: the first import of naive-ui takes seconds on a cold cache, and machines of a shared host can be slow tenfold.
  testTimeout: 300_000,
  projects: [
    node('core'),
    node('standins'),
    node('server'),
    node('tools'),
    {
      ...base,
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/../tools/jest-jsdom.mjs',
      testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
      setupFiles: ['fake-indexeddb/auto'],
      moduleNameMapper: {
        // the address of a worker, which tests never start: what it does is called in place
        '\\.worker$': '<rootDir>/../tools/worker-address.mjs',
        '^@/(.*)$': '<rootDir>/src/$1',
      },
      transform: { '\\.ts$': swc, '\\.vue$': '<rootDir>/../tools/jest-vue.mjs' },
    },
  ],
}
