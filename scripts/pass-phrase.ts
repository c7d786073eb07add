/** `bin/pass-phrase [--look]`: sets the phrase by which devices of the house's network come in, or the one that lets look only. */
import { createInterface } from 'node:readline/promises'
import { setPass } from '@/server/lan/pass'
import { workshopFolder } from '@/data/store/database'

async function main(): Promise<void> {
  const pass = process.argv.includes('--look') ? 'look only' : 'everything'
  const asking = createInterface({ input: process.stdin, output: process.stdout })
  const phrase = await asking.question(
    `The pass phrase that lets ${pass === 'everything' ? 'do everything' : 'look only'}: `,
  )
  asking.close()
  await setPass(workshopFolder(), pass, phrase)
  console.log('It is set. Devices that are in already stay in; sign them out where they should not.')
}

main().catch((error: Error) => {
  console.error(error.message)
  process.exit(1)
})
