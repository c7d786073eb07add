/** A chance as people say it: nothing is certain, and nothing quite out of the question. */
export function chanceText(chance: number): string {
  if (chance < 0.01) return 'under 1 %'
  if (chance > 0.99) return 'over 99 %'
  return `${Math.round(chance * 100)} %`
}
