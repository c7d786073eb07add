/** Odds as people say them. */
export function oddsText(odds: number): string {
  const of = Math.round(odds * 100)
  if (of >= 100) return 'sure'
  return of < 1 ? 'hardly' : `${of} in 100`
}
