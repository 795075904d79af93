import { FarMarket } from '../standins'
import { packPatterns } from '../core/goods/pack-patterns'
import { asciiPattern, start } from '../core/goods/title-patterns'
const m = new FarMarket({ size: 1_000_000, stores: 400 })
const titles = Array.from({ length: 100_000 }, (_, i) => m.listing(i * 10).title.toLowerCase())
const oneOf = (ps: any[]) => [...new Set(ps.map((p) => p.begin))].map((b) => `${b}(?:${ps.filter((p) => p.begin === b).map((p) => p.rest).join('|')})`).join('|')
const [any, at] = [packPatterns.filter((p) => p.isAnywhere), packPatterns.filter((p) => !p.isAnywhere)]
const bare = (s: string) => s.replace(/(?<!\\)\((?!\?)/g, '(?:')
const res: Record<string, RegExp> = {
  both: asciiPattern(bare(`${start}(?:${oneOf(at)})|${oneOf(any)}`), 'g'),
  at: asciiPattern(bare(`${start}(?:${oneOf(at)})`), 'g'),
  any: asciiPattern(bare(oneOf(any)), 'g'),
  word: asciiPattern(bare(`${start}(?:${oneOf(at.filter((p) => p.begin === ''))})`), 'g'),
  num: asciiPattern(bare(`${start}(?:${oneOf(at.filter((p) => p.begin !== ''))})`), 'g'),
  start: /(?<![a-z\d])z9/g,
}
for (let r = 0; r < 3; r++) for (const [n, re] of Object.entries(res)) { let c = 0; const t = performance.now(); for (const x of titles) { re.lastIndex = 0; for (let f = re.exec(x); f; f = re.exec(x)) { c++; re.lastIndex = f.index + 1 } } console.log(n, ((performance.now() - t) / 100).toFixed(2), 'µs', c) }
for (const [n, f] of Object.entries({ scan: (x: string) => { let k = 0, b = true; for (let i = 0; i < x.length; i++) { const c = x.charCodeAt(i); const w = (c >= 97 && c <= 122) || (c >= 48 && c <= 57); if (w && b) k++; b = !w } return k }, lower: (x: string) => x.toLowerCase().length, digit: (x: string) => /\d/.test(x) ? 1 : 0 }))
 for (let r = 0; r < 3; r++) { let c = 0; const t = performance.now(); for (const x of titles) c += f(x); console.log(n, ((performance.now() - t) / 100).toFixed(2), c) }
