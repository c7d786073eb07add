/** A share of `npm run worlds`: instruments at random entered as the forms let them be, and every page of each and of a job on it. */
import { spawnSync } from 'node:child_process'
import { expect, test } from '@playwright/test'

test('no instrument that can be entered makes a page fail, shows what is no figure, or is said to be safe while nothing is known', () => {
  test.setTimeout(240_000)
  const { stdout, status } = spawnSync('npm', ['run', '--silent', 'worlds', '--', '14', '20261201'], {
    encoding: 'utf8',
  })
  expect(stdout).toContain('0 kinds of fault.')
  expect(Number(/(\d+) instruments by seed/.exec(stdout)?.[1])).toBeGreaterThan(9)
  expect(Number(/(\d+) pages/.exec(stdout)?.[1])).toBeGreaterThan(300)
  expect(status).toBe(0)
})
