import ts from 'typescript'
import { changesOf, type Kind } from './changes'

/** One change of a program: what stands from one place to another is replaced. */
export interface Mutant {
  kind: Kind
  start: number
  end: number
  line: number
  from: string
  to: string
}

/** All the ways in which a program can be changed. Types and imports are no part of what runs. */
export function mutantsOf(text: string): Mutant[] {
  const source = ts.createSourceFile('m.ts', text, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return
    for (const { kind, at, to } of changesOf(node, source)) {
      const start = at.getStart(source)
      const line = source.getLineAndCharacterOfPosition(start).line + 1
      found.push({ kind, start, end: at.end, line, from: at.getText(source), to })
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

export const mutated = (text: string, { start, end, to }: Mutant): string => text.slice(0, start) + to + text.slice(end)
