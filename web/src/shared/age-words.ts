/** days after which figures are called old: sources run a week late, and a window is thirty days */
export const oldFrom = 45

/** How old figures are that end with a day, in words; '' where they are fresh. @example ageWords(20604, 20783) // '6 months old' */
export function ageWords(day: number | null, today: number): string {
  if (day === null || today - day < oldFrom) return ''
  const days = today - day
  if (days < 75) return `${days} days old`
  if (days < 365) return `${Math.round(days / 30.4375)} months old`
  const years = days / 365.25
  return years < 1.5 ? 'a year old' : `${Math.round(years)} years old`
}
