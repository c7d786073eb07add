/** An address with a list's filter; what is empty is left out. */
export function addressOf(path: string, filter: Readonly<Record<string, string>>): string {
  const query = new URLSearchParams(Object.entries(filter).filter(([, value]) => value !== '')).toString()
  return query === '' ? path : `${path}?${query}`
}

/** `26 to 50 of 312` */
export function shownWords(page: number, onPage: number, found: number): string {
  return `${page * onPage + 1} to ${Math.min(found, (page + 1) * onPage)} of ${found}`
}
