/** How a figure is known: counted ●, reported ◐, estimated ◔, assumed ○. Higher is less sure. */
export const grades = ['counted', 'reported', 'estimated', 'assumed'] as const

export type Grade = (typeof grades)[number]

export function worstGrade(list: Iterable<Grade>): Grade {
  let worst = 0
  for (const grade of list) worst = Math.max(worst, grades.indexOf(grade))
  return grades[worst] as Grade
}
