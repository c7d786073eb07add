/** `bin/doctor [--repair]`: looks a house through; sets right only what can be set right without losing anything. */
import { isWorkshopTrouble } from '@/boundary/workshop-trouble'
import { examined } from '@/data/backup/examined'
import { workshopFolder } from '@/data/store/database'
import { holdWorkshop } from './hold-workshop'

function main(): number {
  const workshop = workshopFolder()
  const held = holdWorkshop(workshop, 'bin/doctor')
  try {
    const findings = examined(workshop)
    for (const { what, found, isWrong } of findings) console.log(`${isWrong ? '!' : ' '} ${what}: ${found}`)
    const wrong = findings.filter(({ isWrong }) => isWrong)
    if (wrong.length === 0) {
      console.log('All is well.')
      return 0
    }
    if (!process.argv.includes('--repair')) {
      if (wrong.some(({ repair }) => repair))
        console.log('bin/doctor --repair sets right what it safely can.')
      return 1
    }
    for (const { what, repair } of wrong)
      if (repair) {
        repair()
        console.log(`${what}: set right.`)
      } else console.log(`${what}: left as it is.`)
    return wrong.every(({ repair }) => repair) ? 0 : 1
  } catch (error) {
    if (!isWorkshopTrouble(error)) throw error
    console.error(`${error.message} Nothing was touched. ${error.todo}`)
    return 1
  } finally {
    held.release()
  }
}

try {
  process.exitCode = main()
} catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
}
