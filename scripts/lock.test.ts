/** What is installed is what was chosen: every package of the lock file is known by its hash. */
import { readFileSync } from 'node:fs'

interface Entry {
  readonly integrity?: string
}

test('every entry of the lock file has a hash, and none names where it was fetched', () => {
  const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as {
    packages: Readonly<Record<string, Entry & { readonly resolved?: string }>>
  }
  const [, ...entries] = Object.entries(packages)
  expect(entries.length).toBeGreaterThan(400)
  for (const [path, { integrity, resolved }] of entries)
    expect([path, integrity, resolved]).toEqual([path, expect.stringMatching(/^sha512-/), undefined])
})
