import { Problem, stopIfCancelled, toProblemMessage } from '.'

test('the sentence says what and where', () => {
  expect(new Problem('file-empty', { file: 'a.csv' }).message).toBe(
    'a.csv is empty. Choose a file with at least a heading and one row.',
  )
})
test('code and details survive as plain data; anything else becomes unexpected with its text', () => {
  const plain = structuredClone(toProblemMessage(new Problem('money-no-rate', { from: 'USD', to: 'EUR' })))
  expect(plain).toEqual({ code: 'money-no-rate', details: { from: 'USD', to: 'EUR' } })
  expect(toProblemMessage(new TypeError('x is not a function'))).toEqual({
    code: 'unexpected',
    details: { text: 'x is not a function' },
  })
  expect(toProblemMessage(new DOMException('stop', 'AbortError')).code).toBe('cancelled')
})
test('cancelling stops', () => {
  expect(() => stopIfCancelled(AbortSignal.abort())).toThrow(expect.objectContaining({ code: 'cancelled' }))
  expect(() => stopIfCancelled(undefined)).not.toThrow()
})
