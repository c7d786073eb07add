/** Devices that were let in: each by a token that only it has, kept here by its hash, and signed out from the house’s own machine. */
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import type { Pass } from './pass'

export interface Device {
  readonly id: string
  /** What it calls itself. */
  readonly name: string
  readonly pass: Pass
  /** ms since 1970 */
  readonly since: number
  readonly tokenHash: string
}

/** A device is asked for the phrase again after so long, ms. */
const STAYS = 30 * 86_400_000
const MAX_DEVICES = 100

export class Devices {
  private all: readonly Device[]

  constructor(private readonly folder: string) {
    this.all = existsSync(this.file) ? (JSON.parse(readFileSync(this.file, 'utf8')) as readonly Device[]) : []
  }

  private get file(): string {
    return path.join(this.folder, 'lan', 'devices.json')
  }

  list(now: number): readonly Device[] {
    return this.all.filter(({ since }) => now - since < STAYS)
  }

  /** Lets a device in; what comes back is its token, which is kept nowhere else. */
  issueToken(name: string, pass: Pass, now: number): string {
    const token = randomBytes(32).toString('base64url')
    const device = { id: randomUUID(), name: name.slice(0, 60), pass, since: now, tokenHash: hashOf(token) }
    this.keep([...this.list(now).slice(-(MAX_DEVICES - 1)), device])
    return token
  }

  /** The device that has a token; null where it was signed out, or is asked again. */
  byToken(token: string, now: number): Device | null {
    const hash = hashOf(token)
    return this.list(now).find(({ tokenHash }) => tokenHash === hash) ?? null
  }

  signOut(id: string, now: number): void {
    this.keep(this.list(now).filter((device) => device.id !== id))
  }

  private keep(all: readonly Device[]): void {
    this.all = all
    mkdirSync(path.dirname(this.file), { recursive: true, mode: 0o700 })
    writeFileSync(`${this.file}.part`, JSON.stringify(all), { mode: 0o600 })
    renameSync(`${this.file}.part`, this.file)
  }
}

const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url')
