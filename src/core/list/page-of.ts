/** Where one page of a long list stands. */
export interface PageOf {
  /** Counted from 0; never beyond the last. */
  readonly page: number
  readonly pages: number
  /** What is on it: from this one on, up to that one, counted from 0. */
  readonly from: number
  readonly to: number
  /** How many there are on all pages. */
  readonly found: number
}

/**
 * @param asked - page that is asked for, counted from 0
 * @param onPage - how many stand on one page
 * @param found - how many there are
 * @example pageOf(9, 25, 60) // the third page: { page: 2, pages: 3, from: 50, to: 60, found: 60 }
 */
export function pageOf(asked: number, onPage: number, found: number): PageOf {
  const pages = Math.max(1, Math.ceil(found / onPage))
  const page = Math.min(asked, pages - 1)
  return { page, pages, from: page * onPage, to: Math.min(found, (page + 1) * onPage), found }
}
