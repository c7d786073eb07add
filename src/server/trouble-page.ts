/** The one page that is shown while a house can’t be opened: what is wrong, that nothing was touched, and what to do. */

/** What keeps a house from being served. */
export interface Trouble {
  /** What is wrong, in a sentence. */
  readonly sentence: string
  /** What to do, in a sentence. */
  readonly todo: string
}

export function troublePage({ sentence, todo }: Trouble): string {
  return plainPage(
    'Taut Pinset can’t open this house',
    `<div role="alert">
<h1>This house can’t be opened</h1>
<p><strong>${escaped(sentence)}</strong></p>
<p>Nothing was touched.</p>
<p>${escaped(todo)}</p>
</div>`,
  )
}

/** A page that needs nothing of the program. */
export function plainPage(title: string, body: string): string {
  return `<!doctype html>
<html lang="en-GB">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style>
  body { margin: 0; padding: 2rem 1rem; background: #efe6d8; color: #1c1a17; font: 1.1rem/1.5 Georgia, serif }
  main { max-width: 40rem; margin: 0 auto; padding: 1.5rem; background: #fbf8f0; border: 1px solid #1c1a17 }
  h1 { margin: 0 0 .5rem; font-size: 1.5rem }
  input, button { font: inherit; min-height: 2.75rem; padding: 0 .75rem; width: 100%; max-width: 24rem; box-sizing: border-box }
  a { color: #17665a }
  button { border: 1px solid #17665a; background: #17665a; color: #fbf8f0; font-weight: 600; cursor: pointer }
  ul { list-style: none; padding: 0 }
  li form { display: flex; flex-wrap: wrap; align-items: center; gap: .25rem 1rem; padding: .5rem 0; border-top: 1px solid #cdbfa6 }
  li button { width: auto; margin-left: auto; background: none; color: inherit; border-color: currentColor }
  @media (prefers-color-scheme: dark) { body { background: #12110f; color: #ece6da } main { background: #1c1a17; border-color: #ece6da } a { color: #7fc4b0 } }
</style>
<main>${body}</main>
`
}

export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
