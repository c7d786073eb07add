/** An address with a list's filter; what is empty is left out. */
export function addressOf(path: string, filter: Readonly<Record<string, string>>): string {
  const query = new URLSearchParams(Object.entries(filter).filter(([, value]) => value !== '')).toString()
  return query === '' ? path : `${path}?${query}`
}
