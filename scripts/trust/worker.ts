/** One of those that are killed, or that race: `worker.ts WHAT FOLDER`. Says a line for each thing that is done and safe. */
import { backupFolder, backupsIn } from '@/data/backup/backups'
import { restore } from '@/data/backup/restore'
import { takeBackup } from '@/data/backup/take-backup'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { finishJob } from '@/data/jobs/finish-job'
import { openReplacement } from '@/data/jobs/jobs-together'
import { openJobs } from '@/data/jobs/open-jobs'
import { logLook } from '@/data/fitted/inspections'
import { openStore } from '@/data/store/database'
import { idempotent } from '@/data/store/idempotent'
import { takeInHand } from '@/data/stores/in-hand'

const [what, folder = ''] = process.argv.slice(2)
const done = (text: string | number) => process.stdout.write(`${text}\n`)

/** Writes and copies without end: what is acknowledged is said. */
async function backup(): Promise<void> {
  const store = openStore({ folder })
  for (;;) {
    const taking = takeBackup(store, 'by hand')
    for (let i = 0; i < 5; i += 1)
      done(
        logLook(store, instrumentBySlug(store, 'lovage'), { number: 3, condition: 'fresh', signs: [] })
          .actionId,
      )
    await taking
  }
}

/** Brings one backup back after another. */
function bringBack(): void {
  const backups = backupsIn(backupFolder(folder)).filter(({ kind }) => kind === 'daily')
  for (let i = 0; ; i += 1) {
    restore(folder, backups[i % backups.length]?.name ?? '', Date.UTC(2027, 0, 1) + i * 1000)
    done(i)
  }
}

/** Brings a house of an older version up to date. */
function update(): void {
  openStore({ folder }).close()
  done('up to date')
}

/** ms */
const BEAT = 60

/** Opens and finishes jobs on the same strings as another does: each is let through once, whoever comes first. */
function race(): void {
  const store = openStore({ folder })
  let [accepted, refused] = [0, 0]
  const attempt = (work: () => object) => {
    // As people do: there is time between one thing and the next, in which the other acts.
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 6)
    try {
      idempotent(store, null, '', work)
      accepted += 1
    } catch {
      refused += 1
    }
  }
  for (let round = 0; round < 100; round += 1) {
    // Both begin each round at the same moment, and on the same string.
    while (Date.now() % BEAT !== 0);
    const number = 1 + (Math.floor(Date.now() / BEAT) % 47)
    const stored = instrumentBySlug(store, 'lovage')
    attempt(() => openReplacement(store, stored, number))
    const job = openJobs(store).at(-1)
    if (!job) continue
    attempt(() => takeInHand(store, job.id, { gauge: null, length: 3 }))
    attempt(() => finishJob(store, job.id, { cut: 0.9, wraps: 3, gauge: null }))
  }
  store.close()
  done(`${accepted} ${refused}`)
}

done('begun')
void { backup, restore: bringBack, update, race }[what as 'backup']()
