/** A share of `npm run fuzz`: requests at random to every handler there is, none a fault, none refused that wrote, none that wrote nonsense. */
import { spawnSync } from 'node:child_process'
import { expect, test } from '@playwright/test'

test('requests at random are answered, refused ones write nothing, and nothing that is written is nonsense', () => {
  test.setTimeout(240_000)
  const { stdout, status } = spawnSync('npm', ['run', '--silent', 'fuzz', '--', '2500', '20261127'], {
    encoding: 'utf8',
  })
  expect(stdout).toContain('0 kinds of fault in answers, 0 in what was written.')
  expect(Number(/(\d+) accepted/.exec(stdout)?.[1])).toBeGreaterThan(100)
  expect(status).toBe(0)
})
