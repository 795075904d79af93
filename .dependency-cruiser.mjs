/**
 * What may import what, over the whole repository. ESLint knows one file at a time; this knows the graph, so it also finds circles.
 * Floors of `web/src` from the top; a file may import from its own floor and those under it.
 */
const floors = [['main.ts'], ['app'], ['stages'], ['shared'], ['services'], ['workers'], ['storage']]
/** tests, and what they and the estimates are made from */
const isTest = '\\.test\\.ts$|^web/src/testing/|^core/[^/]+/(?:test|judged)-[^/]+\\.ts$'
const core = '^core/'

const rule = (name, comment, from, to) => ({ name, severity: 'error', comment, from, to })

const upward = floors.slice(1).map((floor, i) => {
  const above = floors.slice(0, i + 1).flat()
  return rule(
    `${floor[0]}-looks-up`,
    'floors of web/src, from the top: main, app, stages, shared, services, workers, storage; nothing looks up',
    { path: `^web/src/(?:${floor.join('|')})(?:/|$)`, pathNot: isTest },
    { path: `^web/src/(?:${above.join('|')})(?:/|$)` },
  )
})

export default {
  forbidden: [
    rule('circle', 'no circle of files', {}, { circular: true }),
    ...upward,
    rule(
      'stage-to-stage',
      'a stage never imports another stage: what two need moves to shared/',
      { path: '^web/src/stages/([^/]+)/', pathNot: isTest },
      { path: '^web/src/stages/', pathNot: '^web/src/stages/$1/' },
    ),
    rule(
      'by-the-door',
      'a core folder is entered by its index.ts',
      { path: `${core}([^/]+)/`, pathNot: isTest },
      { path: `${core}[^/]+/.+`, pathNot: `${core}(?:$1/|[^/]+/index\\.ts$)` },
    ),
    rule(
      'by-the-door-from-outside',
      'a core folder is entered by its index.ts',
      { path: '^(?:web|server|standins)/', pathNot: isTest },
      { path: `${core}[^/]+/.+`, pathNot: `${core}[^/]+/index\\.ts$` },
    ),
    rule(
      'core-inward',
      'the core knows no interface, storage, server or stand-in',
      { path: core, pathNot: isTest },
      {
        path: '^(?:web|server|standins|e2e|bench|scripts)/|node_modules/(?:vue|vue-router|pinia|naive-ui|d3[^/]*|idb|express)/',
      },
    ),
    rule(
      'server-apart',
      'the server knows nothing of the page',
      { path: '^server/', pathNot: isTest },
      { path: '^(?:web|e2e|bench)/|node_modules/(?:vue|pinia|naive-ui|d3[^/]*|idb)/' },
    ),
    rule(
      'standins-apart',
      'stand-ins know only the core',
      { path: '^standins/', pathNot: isTest },
      { path: '^(?:web|server|e2e|bench)/' },
    ),
    rule(
      'web-apart',
      'the page knows neither the server nor the stand-ins',
      { path: '^web/', pathNot: isTest },
      { path: '^(?:server|standins|e2e|bench)/|node_modules/express/' },
    ),
    rule('unresolved', 'what is imported is there', {}, { couldNotResolve: true, pathNot: '^(?:virtual:|node:)' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '/dist/|\\.css$|\\.woff2?$' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
      extensions: ['.ts', '.mjs', '.js', '.vue'],
    },
  },
}
