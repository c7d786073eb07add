/** What is said beside a chance that counts strings of which nobody recorded since when they are on; empty where there are none. */
export function unknownAgesText(unknown: number, of: number): string {
  if (unknown === 0) return ''
  const which =
    unknown === of
      ? of === 1
        ? 'the age of this string'
        : `the age of any of these ${of} strings`
      : `the age of ${unknown} of these ${of} strings`
  return `Nobody recorded ${which}. The figures allow for any age from new to 16 years.`
}
