/** A name as it stands in a sentence: `the 3rd-octave G`, `string 4`. */
export function withThe(name: string): string {
  return name.startsWith('string ') ? name : `the ${name}`
}
