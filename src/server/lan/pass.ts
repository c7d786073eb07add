/** The house’s pass phrases: one that lets do everything, one that lets look only. Kept as what scrypt makes of them. */
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import path from 'node:path'

export const PASSES = ['everything', 'look only'] as const
export type Pass = (typeof PASSES)[number]

interface StoredPass {
  readonly pass: Pass
  readonly salt: string
  readonly hash: string
}

const SALT = 16
const LENGTH = 32
/** Some 60 ms and 32 MB a try: nothing to whoever knows it, a wall to whoever guesses. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 }
export const SHORTEST = 10

const fileOf = (folder: string) => path.join(folder, 'lan', 'pass.json')

const hashed = (phrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    scrypt(phrase.normalize('NFC'), salt, LENGTH, COST, (error, key) =>
      error ? reject(error) : resolve(key),
    )
  })

function storedPasses(folder: string): readonly StoredPass[] {
  return existsSync(fileOf(folder))
    ? (JSON.parse(readFileSync(fileOf(folder), 'utf8')) as readonly StoredPass[])
    : []
}

export const hasPass = (folder: string): boolean =>
  storedPasses(folder).some(({ pass }) => pass === 'everything')

/** @throws RangeError with a sentence where the phrase is too short */
export async function setPass(folder: string, pass: Pass, phrase: string): Promise<void> {
  if (phrase.trim().length < SHORTEST)
    throw new RangeError(`A pass phrase has ${SHORTEST} letters at least: some words that you remember.`)
  const salt = randomBytes(SALT)
  const hash = await hashed(phrase.trim(), salt)
  const others = storedPasses(folder).filter((one) => one.pass !== pass)
  mkdirSync(path.join(folder, 'lan'), { recursive: true, mode: 0o700 })
  const all = [...others, { pass, salt: salt.toString('base64'), hash: hash.toString('base64') }]
  writeFileSync(`${fileOf(folder)}.part`, JSON.stringify(all), { mode: 0o600 })
  renameSync(`${fileOf(folder)}.part`, fileOf(folder))
}

/** What a phrase lets do; null where it is none of the house’s. Every phrase is held against all, so that the time tells nothing. */
export async function passOf(folder: string, phrase: string): Promise<Pass | null> {
  let found: Pass | null = null
  for (const { pass, salt, hash } of storedPasses(folder)) {
    const made = await hashed(phrase.trim(), Buffer.from(salt, 'base64'))
    if (timingSafeEqual(made, Buffer.from(hash, 'base64'))) found = pass
  }
  return found
}
