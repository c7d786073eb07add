/** `npm run trust [rounds]`: kills and races, each looked over afterwards; the figures of docs/TRUST.md. */
import Database from 'better-sqlite3'
import { spawn } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { seeded } from '@/core/random/seeded'
import { backupFolder, backupsIn, checkCopy } from '@/data/backup/backups'
import { copyWorkshop } from '@/data/backup/copy-workshop'
import { prepare } from '@/data/demo/prepare'
import { WORKSHOP_FILE } from '@/data/store/trouble'
import { DEMO_DATE } from '../serve'
import { layEarlierWorkshop, migrations } from './earlier-house'

const rounds = Number(process.argv[2] ?? 200)
const random = seeded(Number(process.argv[3] ?? 17))
const root = mkdtempSync(path.join(os.tmpdir(), 'taut-trust-'))

/** What a worker said was done until it ended, or was killed so long after it had begun, ms. */
function worker(what: string, folder: string, killAfter: number | null): Promise<readonly string[]> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/trust/worker.ts', what, folder], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    let said = ''
    let timer: NodeJS.Timeout | null = null
    child.stdout.on('data', (part) => {
      if (said === '' && killAfter !== null) timer = setTimeout(() => child.kill('SIGKILL'), killAfter)
      said += String(part)
    })
    child.once('exit', () => {
      if (timer) clearTimeout(timer)
      resolve(said.split('\n').slice(1, -1))
    })
  })
}

/** Why a folder holds no whole house; null where it does. */
function brokenIn(folder: string, acknowledged: number): string | null {
  try {
    const db = new Database(path.join(folder, WORKSHOP_FILE))
    const integrity = db.pragma('integrity_check', { simple: true })
    const actions = db.prepare('SELECT max(id) FROM action').pluck().get() as number
    db.close()
    if (integrity !== 'ok') return String(integrity)
    if (actions < acknowledged)
      return `action ${acknowledged} was acknowledged, ${actions} is the last there is`
    for (const { name } of backupsIn(backupFolder(folder)))
      checkCopy(path.join(backupFolder(folder), name), null)
    return null
  } catch (error) {
    return (error as Error).message
  }
}

async function kills(what: 'backup' | 'restore' | 'update', shelf: string): Promise<void> {
  let [broken, acted] = [0, 0]
  const folder = path.join(root, what)
  for (let round = 0; round < rounds; round += 1) {
    if (round === 0 || what === 'update') {
      rmSync(folder, { recursive: true, force: true })
      if (what === 'update') layEarlierWorkshop(shelf, folder, 1 + (round % (migrations.length - 1)))
      else cpSync(shelf, folder, { recursive: true })
      if (what === 'restore') for (const day of [1, 2]) copyWorkshop(folder, 'daily', Date.UTC(2026, 10, day))
    }
    const said = await worker(what, folder, random() * (what === 'update' ? 300 : 1000))
    acted += said.length
    const why = brokenIn(folder, what === 'backup' ? Number(said.at(-1) ?? 0) : 0)
    if (why) {
      broken += 1
      console.log(`! ${what}, round ${round}: ${why}`)
    }
  }
  console.log(`${what}: ${rounds} kills, ${acted} done before them, ${broken} without a whole house.`)
  if (broken > 0) process.exitCode = 1
}

const RULES: readonly (readonly [string, string])[] = [
  [
    'two open jobs on a string',
    'SELECT position_id FROM job WHERE finished_at IS NULL GROUP BY 1 HAVING count(*) > 1',
  ],
  ['a job that was finished twice', 'SELECT job_id FROM fitting GROUP BY 1 HAVING count(*) > 1'],
  ['more received than ordered', 'SELECT id FROM order_line WHERE received > packs'],
]

async function races(shelf: string): Promise<void> {
  let broken = 0
  const sums = { accepted: 0, refused: 0 }
  const pairs = Math.max(2, Math.round(rounds / 50))
  for (let pair = 0; pair < pairs; pair += 1) {
    const folder = path.join(root, `race-${pair}`)
    mkdirSync(folder)
    cpSync(shelf, folder, { recursive: true })
    for (const [line] of await Promise.all([worker('race', folder, null), worker('race', folder, null)])) {
      const [accepted, refused] = (line ?? '0 0').split(' ').map(Number)
      sums.accepted += accepted ?? 0
      sums.refused += refused ?? 0
    }
    const db = new Database(path.join(folder, WORKSHOP_FILE), { readonly: true })
    for (const [rule, sql] of RULES)
      if (db.prepare(sql).all().length > 0) {
        broken += 1
        console.log(`! races: ${rule}`)
      }
    db.close()
  }
  console.log(
    `races: ${sums.accepted + sums.refused} actions by two programs at once, ${sums.accepted} let through, ${sums.refused} refused, ${broken} rules broken.`,
  )
  if (broken > 0) process.exitCode = 1
}

async function main(): Promise<void> {
  const shelf = path.join(root, 'shelf')
  prepare(shelf, path.resolve('demo'), DEMO_DATE)
  for (const what of ['backup', 'restore', 'update'] as const) await kills(what, shelf)
  await races(shelf)
  rmSync(root, { recursive: true, force: true })
}

void main()
