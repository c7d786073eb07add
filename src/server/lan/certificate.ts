/**
 * The certificate that the house makes for itself and keeps, so that phones may use their microphone and keep an open job:
 * they do so only over HTTPS, the latter only where they trust it. It is signed by a root that is made for it alone and can
 * sign nothing else: the root's key is kept nowhere, so that a phone which trusts it is open to nobody.
 */
import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { generate } from 'selfsigned'

export interface Certificate {
  readonly key: string
  /** With the root that signed it behind it. */
  readonly cert: string
}

/** The root out of a house's certificate: what a phone is asked to trust. */
export const rootOf = (cert: string): string => cert.slice(cert.lastIndexOf('-----BEGIN'))

const DAY = 86_400_000
/** Phones refuse certificates that are good for longer. */
const GOOD_FOR = 820
const RENEWED_BEFORE = 30

/** @param names - by which the machine is reached: addresses and names */
export async function ownCertificate(
  folder: string,
  names: readonly string[],
  now: number,
): Promise<Certificate> {
  const [keyFile, certFile] = ['key.pem', 'cert.pem'].map((name) => path.join(folder, 'lan', name)) as [
    string,
    string,
  ]
  if (existsSync(keyFile) && existsSync(certFile)) {
    const had = { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') }
    const { validTo, subjectAltName = '' } = new X509Certificate(had.cert)
    const isGood = new Date(validTo).getTime() - now > RENEWED_BEFORE * DAY
    if (isGood && names.every((name) => subjectAltName.includes(name))) return had
  }
  const made = await signed(names, now)
  mkdirSync(path.join(folder, 'lan'), { recursive: true, mode: 0o700 })
  writeFileSync(keyFile, made.key, { mode: 0o600 })
  writeFileSync(certFile, made.cert)
  return made
}

async function signed(names: readonly string[], now: number): Promise<Certificate> {
  const common = {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now - DAY),
    notAfterDate: new Date(now + GOOD_FOR * DAY),
  } as const
  const root = await generate([{ name: 'commonName', value: 'Root of a Taut Pinset house' }], {
    ...common,
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, critical: true },
    ],
  })
  const made = await generate([{ name: 'commonName', value: 'Taut Pinset' }], {
    ...common,
    ca: { key: root.private, cert: root.cert },
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) =>
          /^[\d.]+$/.test(name) || name.includes(':')
            ? { type: 7 as const, ip: name }
            : { type: 2 as const, value: name },
        ),
      },
    ],
  })
  return { key: made.private, cert: `${made.cert.trim()}\n${root.cert.trim()}\n` }
}
