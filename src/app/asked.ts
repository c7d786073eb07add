/** What the address of a list asks for. */
export type Asked = Promise<Readonly<Record<string, string | readonly string[] | undefined>>>

/** Longer texts nobody looks for. */
const LONGEST = 120

/** The one text under a name; empty where there is none, or several. */
export function textOf(params: Awaited<Asked>, name: string, longest = LONGEST): string {
  const value = params[name]
  return typeof value === 'string' ? value.slice(0, longest) : ''
}

/** A row’s number as an address writes it; null for anything else. */
export const numberIn = (text: string): number | null => (/^\d{1,9}$/.test(text) ? Number(text) : null)

/** A page, counted from 0, of an address that counts from 1. */
export function askedPage(params: Awaited<Asked>): number {
  const text = textOf(params, 'page')
  return /^\d{1,6}$/.test(text) ? Math.max(0, Number(text) - 1) : 0
}

/** One of some words; null for anything else. */
export function oneOf<Word extends string>(words: readonly Word[], text: string): Word | null {
  return words.find((word) => word === text) ?? null
}
