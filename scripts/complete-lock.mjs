/**
 * Completes package-lock.json after `npm install`: names the builds for other platforms that the registry at hand did
 * not serve, each with the hash that the registry tells of it. Without them `npm ci` calls the lock file out of step; with
 * them it passes over what doesn't suit the machine.
 *
 *   node scripts/complete-lock.mjs
 */
import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'

const SYSTEMS = [
  'darwin',
  'win32',
  'linux',
  'android',
  'freebsd',
  'openharmony',
  'sunos',
  'netbsd',
  'openbsd',
  'aix',
]
const CHIPS = ['arm64', 'x64', 'ia32', 'arm', 'ppc64', 's390x', 'riscv64', 'loong64', 'wasm32', 'mips64el']

/** What a platform build's name says it runs on. */
function platformOf(name) {
  const words = name.split(/[-/]/).map((word) => (word === 'armv7' ? 'arm' : word))
  const cpu = CHIPS.filter((chip) => words.includes(chip))
  return { os: SYSTEMS.filter((system) => words.includes(system)), cpu: cpu.length ? cpu : ['arm'] }
}

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'))
const added = {}
for (const [path, entry] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const places = [`${path}/node_modules/${name}`, `node_modules/${name}`]
    if (places.some((place) => lock.packages[place]) || !/^\d/.test(version)) continue
    const { os, cpu } = platformOf(name)
    const nested = added[`node_modules/${name}`] && added[`node_modules/${name}`].version !== version
    added[nested ? places[0] : places[1]] = {
      version,
      cpu,
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      ...(os.length ? { os } : {}),
    }
  }
}
const nameIn = (path) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
for (const [path, entry] of Object.entries({ ...lock.packages, ...added })) {
  if (path === '' || entry.integrity || entry.link) continue
  const asked = ['view', `${nameIn(path)}@${entry.version}`, 'dist.integrity']
  const told = execFileSync('npm', asked, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).trim()
  if (told) entry.integrity = told
}
lock.packages = Object.fromEntries(
  Object.entries({ ...lock.packages, ...added }).sort(([a], [b]) => (a < b ? -1 : 1)),
)
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`)
console.log(`${Object.keys(added).length} builds for other platforms named in the lock file.`)
