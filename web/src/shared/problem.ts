import { Problem, toProblemMessage } from '@sickle/core/problem'

/** Any thrown value as a Problem, so that what is shown is always a sentence of the catalog. */
export function toProblem(thrown: unknown): Problem {
  if (thrown instanceof Problem) return thrown
  const { code, details } = toProblemMessage(thrown)
  return new Problem(code, details, { cause: thrown })
}
