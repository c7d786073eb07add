/** `bin/restore [name] [--yes]`: lists the backups of a house, or brings one back after it is shown what that loses. */
import { createInterface } from 'node:readline/promises'
import { backupFolder, backupsIn } from '@/data/backup/backups'
import { backupByName, lostBy, restore } from '@/data/backup/restore'
import { workshopFolder } from '@/data/store/database'
import { holdWorkshop } from './hold-workshop'

async function main(): Promise<void> {
  const words = process.argv.slice(2)
  const yes = words.includes('--yes')
  const [name] = words.filter((word) => word !== '--yes')
  const workshop = workshopFolder()
  const backups = backupsIn(backupFolder(workshop))
  if (name === undefined) {
    console.log(
      backups.length === 0
        ? `There is no backup in ${backupFolder(workshop)}.`
        : backups.map((one) => `${one.name}  (${one.kind}, ${(one.bytes / 1e6).toFixed(1)} MB)`).join('\n'),
    )
    return
  }
  const backup = backupByName(workshop, name)
  const held = holdWorkshop(workshop, 'bin/restore')
  const { actions, last } = lostBy(workshop, backup)
  console.log(
    actions === 0
      ? 'Nothing was done since that can be told: nothing is lost.'
      : `${actions} things were done since, and are lost by this. The last of them:`,
  )
  for (const { at, summary } of last) console.log(`  ${new Date(at).toISOString().slice(0, 16)}  ${summary}`)
  if (!yes) {
    const asking = createInterface({ input: process.stdin, output: process.stdout })
    const answer = await asking.question(
      'Restore it? The house as it is now is kept in a backup first. [y/N] ',
    )
    asking.close()
    if (!/^y(es)?$/i.test(answer.trim())) {
      console.log('Nothing was changed.')
      return held.release()
    }
  }
  restore(workshop, backup.name)
  held.release()
  console.log(`The house is as ${backup.name} has it. To undo that, restore the newest “before a restore”.`)
}

main().catch((error: Error) => {
  console.error(error.message)
  process.exit(1)
})
