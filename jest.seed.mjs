/**
 * The seed that property tests draw from: fixed with the commit, so that a red run can be repeated and a green one says the
 * same on every machine. A long run (`npm run test:long`) draws from a new one, and says which.
 */
export const FIXED_SEED = 20261126

export default function announceSeed() {
  const seed = process.env.TAUT_LONG
    ? Math.floor(Math.random() * 2 ** 31)
    : Number(process.env.TAUT_SEED ?? FIXED_SEED)
  process.env.TAUT_SEED = String(seed)
  process.stderr.write(
    `\nProperty tests draw from seed ${seed}${process.env.TAUT_LONG ? '; repeat it with TAUT_SEED' : ''}.\n`,
  )
}
