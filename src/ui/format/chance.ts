/** A chance as people say it: nothing is certain, and nothing quite out of the question. */
export function chanceText(chance: number): string {
  if (chance < 0.01) return '<\u00a01 %'
  if (chance > 0.99) return '>\u00a099 %'
  return `${Math.round(chance * 100)} %`
}

/** The same to a tenth of a hundredth, where small changes count. */
export function fineChanceText(chance: number): string {
  if (chance >= 0.9995) return '>\u00a099.9 %'
  return chance < 0.0005 ? '<\u00a00.1 %' : `${(chance * 100).toFixed(1)} %`
}
