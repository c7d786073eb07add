/** A row that can't be read costs itself and what hangs on it: every page is shown, says so, and the doctor names it. */
import Database from 'better-sqlite3'
import { expect, test } from '@playwright/test'
import { spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { end, freePort, serve } from '../scripts/serve'

/** As another program, or a hand, may leave a house. */
const SPOILT = [
  "UPDATE coil SET material = 'spider silk' WHERE id = 2",
  "UPDATE coil SET gauge_mm = 'thin' WHERE id = 3",
  "UPDATE cents_reading SET cents = 'flat' WHERE id = 1",
  "UPDATE string_break SET site = 'somewhere' WHERE id = 2",
  "UPDATE string_position SET note = 'H9' WHERE instrument_id = (SELECT id FROM instrument WHERE slug = 'bistort') AND number = 2",
  "UPDATE string_position SET hardware_measured = '{' WHERE instrument_id = (SELECT id FROM instrument WHERE slug = 'bistort') AND number = 3",
  "UPDATE catalogue_item SET set_of = '[{' WHERE id = 4",
  "UPDATE occasion SET instruments = 'lovage' WHERE id = 1",
  "UPDATE fitting SET cut_mm = 'long' WHERE id = 1",
  "UPDATE instrument SET family = 'a drum' WHERE slug = 'sorrel'",
  "UPDATE job SET habits = '[]' WHERE id = 2",
]
const PLACES = [
  ...['/', '/instruments', '/broke', '/knots', '/history', '/stores', '/stores/cutting', '/stores/labels'],
  ...['/stores/small-things', '/orders', '/orders/suppliers', '/orders/suppliers/weir-and-wharf'],
  ...['/settling', '/settling/room', '/settling/visits', '/wear', '/wear/before', '/house', '/house/habits'],
  ...['/house/dates', '/house/archive', '/house/backups', '/house/fittings'],
  ...['lovage', 'yarrow', 'chervil'].flatMap((slug) =>
    ['', '/chart', '/hardware', '/which', '/wear', '/inspection', '/restring', '/round', '/about'].map(
      (sheet) => `/instruments/${slug}${sheet}`,
    ),
  ),
]

test('rows that can’t be read are left out, told on every page, and named by the doctor', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-left-out-'))
  cpSync(process.env.TAUT_E2E_DEMO as string, folder, { recursive: true })
  const db = new Database(path.join(folder, 'taut-pinset.sqlite'))
  db.pragma('ignore_check_constraints = ON')
  for (const sql of SPOILT) expect([sql, db.prepare(sql).run().changes]).toEqual([sql, 1])
  db.close()
  const port = await freePort()
  const server = await serve(port, folder)
  try {
    const url = `http://127.0.0.1:${port}`
    for (const place of PLACES) {
      const answer = await fetch(`${url}${place}`)
      expect.soft([place, answer.status]).toEqual([place, 200])
      expect.soft(await answer.text(), place).toContain('rows of this house can’t be read')
    }
    // A chart with a hole would count pins wrong: the instrument is left out whole.
    for (const slug of ['sorrel', 'bistort'])
      expect((await fetch(`${url}/instruments/${slug}`)).status).toBe(404)
    expect((await fetch(`${url}/jobs/1/report`)).status).toBe(404)
    // What is left goes on as it did: a job is opened, beside the string that can't be read.
    await page.goto(`${url}/instruments/lovage`)
    await expect(page.getByRole('status').filter({ hasText: 'are left out' })).toBeVisible()
    const opened = await page.request.post(`${url}/api/breaks`, {
      data: { instrument: 'lovage', string: 18, site: 'mid-length' },
    })
    expect(opened.status()).toBe(200)
  } finally {
    await end(server, 'SIGTERM')
  }
  const { stdout } = spawnSync(path.resolve('bin', 'doctor'), [], {
    env: { ...process.env, TAUT_DATA: folder },
    encoding: 'utf8',
  })
  expect(stdout).toMatch(/rows: \d+ can’t be read, or belong to one that can’t, and are left out/)
  // Nothing of it was touched.
  const after = new Database(path.join(folder, 'taut-pinset.sqlite'), { readonly: true })
  expect(after.prepare('SELECT material FROM coil WHERE id = 2').pluck().get()).toBe('spider silk')
  after.close()
  rmSync(folder, { recursive: true, force: true })
})
