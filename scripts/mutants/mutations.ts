import ts from 'typescript'

/** One change of a program: what stands from one place to another is replaced. */
export interface Mutant {
  start: number
  end: number
  line: number
  from: string
  to: string
}

/** operators, and what each becomes */
const operators: Record<string, string> = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '&&': '||',
  '||': '&&',
  '??': '&&',
}

/** All the ways in which a program can be changed: an operator, a number, a truth, a condition, a minus, a call that does something. */
export function mutantsOf(text: string): Mutant[] {
  const source = ts.createSourceFile('m.ts', text, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const add = (node: ts.Node, to: string) => {
    const start = node.getStart(source)
    const line = source.getLineAndCharacterOfPosition(start).line + 1
    found.push({ start, end: node.end, line, from: node.getText(source), to })
  }
  const visit = (node: ts.Node): void => {
    // types are no part of what runs
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return
    changesOf(node, source).forEach(([part, to]) => add(part, to))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

function changesOf(node: ts.Node, source: ts.SourceFile): [ts.Node, string][] {
  if (ts.isBinaryExpression(node)) {
    const to = operators[node.operatorToken.getText(source)]
    return to === undefined || isText(node) ? [] : [[node.operatorToken, to]]
  }
  if (ts.isNumericLiteral(node)) return [[node, node.text === '0' ? '1' : `(${node.text} * 1.5 + 1)`]]
  if (node.kind === ts.SyntaxKind.TrueKeyword) return [[node, 'false']]
  if (node.kind === ts.SyntaxKind.FalseKeyword) return [[node, 'true']]
  if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
    return [[node, node.operand.getText(source)]]
  if (ts.isIfStatement(node)) return [[node.expression, `!(${node.expression.getText(source)})`]]
  if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) return [[node, ';']]
  return []
}

/** Texts are put together with the sign of a sum. */
const isText = (node: ts.BinaryExpression) =>
  [node.left, node.right].some((n) => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n))

export const mutated = (text: string, { start, end, to }: Mutant): string => text.slice(0, start) + to + text.slice(end)
