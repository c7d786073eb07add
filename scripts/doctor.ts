/** `bin/doctor [--repair]`: looks a house through; sets right only what can be set right without losing anything. */
import { isHouseTrouble } from '@/boundary/house-trouble'
import { hold } from '@/door/hold'
import { examined } from '@/data/backup/examined'
import { houseFolder } from '@/data/store/database'

function main(): number {
  const house = houseFolder()
  const held = hold(house, `bin/doctor, process ${process.pid}`)
  if ('heldBy' in held) {
    console.error(`The house is being served by ${held.heldBy}. Stop that first; nothing was touched.`)
    return 1
  }
  try {
    const findings = examined(house)
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
    if (!isHouseTrouble(error)) throw error
    console.error(`${error.message} Nothing was touched. ${error.todo}`)
    return 1
  } finally {
    held.release()
  }
}

process.exitCode = main()
