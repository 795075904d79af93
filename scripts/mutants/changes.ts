import ts from 'typescript'

/**
 * What is changed. The kinds are those of StrykerJS's documentation ("Supported mutators", from memory) but for words, patterns and records, which say what
 * screens say or name what others name; and two more: numbers, and calls that do something.
 */
export type Kind =
  | 'arithmetic'
  | 'array'
  | 'assignment'
  | 'block'
  | 'call'
  | 'condition'
  | 'equality'
  | 'function'
  | 'logical'
  | 'method'
  | 'number'
  | 'optional'
  | 'truth'
  | 'unary'
  | 'update'

export interface Change {
  kind: Kind
  at: ts.Node
  to: string
}

/** operators, what they are, and what each becomes */
const operators: Record<string, [Kind, ...string[]]> = {
  '+': ['arithmetic', '-'],
  '-': ['arithmetic', '+'],
  '*': ['arithmetic', '/'],
  '/': ['arithmetic', '*'],
  '%': ['arithmetic', '*'],
  '<': ['equality', '<=', '>='],
  '<=': ['equality', '<', '>'],
  '>': ['equality', '>=', '<='],
  '>=': ['equality', '>', '<'],
  '===': ['equality', '!=='],
  '!==': ['equality', '==='],
  '&&': ['logical', '||'],
  '||': ['logical', '&&'],
  '??': ['logical', '&&'],
  '+=': ['assignment', '-='],
  '-=': ['assignment', '+='],
  '*=': ['assignment', '/='],
  '/=': ['assignment', '*='],
  '&&=': ['assignment', '||='],
  '||=': ['assignment', '&&='],
  '??=': ['assignment', '&&='],
}

/** methods, and what each becomes; one that becomes nothing is left out, and what it was called on stands in its place */
const methods: Record<string, string> = {
  startsWith: 'endsWith',
  endsWith: 'startsWith',
  toUpperCase: 'toLowerCase',
  toLowerCase: 'toUpperCase',
  some: 'every',
  every: 'some',
  min: 'max',
  max: 'min',
  trimStart: 'trimEnd',
  trimEnd: 'trimStart',
  trim: '',
  sort: '',
  reverse: '',
  filter: '',
  slice: '',
  charAt: '',
}

/** The ways in which a node itself can be changed. */
export function changesOf(node: ts.Node, source: ts.SourceFile): Change[] {
  const text = (of: ts.Node) => of.getText(source)
  if (ts.isBinaryExpression(node)) return ofOperator(node, text)
  if (ts.isNumericLiteral(node))
    return [{ kind: 'number', at: node, to: node.text === '0' ? '1' : `(${node.text} * 1.5 + 1)` }]
  if (node.kind === ts.SyntaxKind.TrueKeyword) return [{ kind: 'truth', at: node, to: 'false' }]
  if (node.kind === ts.SyntaxKind.FalseKeyword) return [{ kind: 'truth', at: node, to: 'true' }]
  if (ts.isPrefixUnaryExpression(node) || ts.isPostfixUnaryExpression(node)) return ofUnary(node, text)
  if (ts.isArrayLiteralExpression(node)) return ofArray(node)
  if (ts.isBlock(node)) return node.statements.length === 0 ? [] : [{ kind: 'block', at: node, to: '{}' }]
  if (ts.isArrowFunction(node) && !ts.isBlock(node.body))
    return [{ kind: 'function', at: node, to: '(() => undefined)' }]
  if (ts.isCallExpression(node)) return ofMethod(node, text)
  if (ts.isPropertyAccessExpression(node) && node.questionDotToken)
    return [{ kind: 'optional', at: node, to: `${text(node.expression)}.${text(node.name)}` }]
  if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression))
    return [{ kind: 'call', at: node, to: ';' }]
  return ofCondition(node)
}

function ofOperator(node: ts.BinaryExpression, text: (of: ts.Node) => string): Change[] {
  const [kind, ...become] = operators[text(node.operatorToken)] ?? []
  // texts are put together with the sign of a sum
  const isWords = [node.left, node.right].some((n) => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n))
  return !kind || (kind === 'arithmetic' && isWords) ? [] : become.map((to) => ({ kind, at: node.operatorToken, to }))
}

function ofUnary(node: ts.PrefixUnaryExpression | ts.PostfixUnaryExpression, text: (of: ts.Node) => string): Change[] {
  const operand = text(node.operand)
  const isBefore = ts.isPrefixUnaryExpression(node)
  switch (node.operator) {
    case ts.SyntaxKind.ExclamationToken:
      return [{ kind: 'truth', at: node, to: operand }]
    case ts.SyntaxKind.MinusToken:
      return [{ kind: 'unary', at: node, to: `+${operand}` }]
    case ts.SyntaxKind.PlusPlusToken:
      return [{ kind: 'update', at: node, to: isBefore ? `--${operand}` : `${operand}--` }]
    case ts.SyntaxKind.MinusMinusToken:
      return [{ kind: 'update', at: node, to: isBefore ? `++${operand}` : `${operand}++` }]
    default:
      return []
  }
}

function ofArray(node: ts.ArrayLiteralExpression): Change[] {
  const { parent } = node
  const isTaken = ts.isBinaryExpression(parent) && parent.left === node
  const isForOf = ts.isForOfStatement(parent) && parent.initializer === node
  if (isTaken || isForOf || ts.isArrayLiteralExpression(parent)) return []
  return [{ kind: 'array', at: node, to: node.elements.length === 0 ? '["more"]' : '[]' }]
}

function ofMethod(node: ts.CallExpression, text: (of: ts.Node) => string): Change[] {
  const called = node.expression
  if (!ts.isPropertyAccessExpression(called)) return []
  const name = text(called.name)
  const to = Object.hasOwn(methods, name) ? methods[name] : undefined
  if (to === undefined) return []
  return [
    to === '' ? { kind: 'method', at: node, to: text(called.expression) } : { kind: 'method', at: called.name, to },
  ]
}

/** A condition that always holds, or never does; a loop that always goes on never ends. */
function ofCondition(node: ts.Node): Change[] {
  const both = (at: ts.Node): Change[] => ['true', 'false'].map((to) => ({ kind: 'condition', at, to }))
  if (ts.isIfStatement(node)) return both(node.expression)
  if (ts.isConditionalExpression(node)) return both(node.condition)
  if (ts.isWhileStatement(node)) return [{ kind: 'condition', at: node.expression, to: 'false' }]
  if (ts.isForStatement(node) && node.condition) return [{ kind: 'condition', at: node.condition, to: 'false' }]
  return []
}
