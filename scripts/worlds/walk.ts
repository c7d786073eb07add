/**
 * Instruments at random entered through the handlers that the forms use, and then every page of each opened, and of a job on one of
 * its strings. Values that are refused are refused in a sentence; whatever is accepted, no page may fail or show what is no figure.
 */
import { seeded } from '@/core/random/seeded'
import { fromInstrumentFile } from '@/data/instruments/instrument-file'
import type { Instrument } from '@/core/instrument/instrument'
import { BREAK_SITES } from '@/core/wear/break-sites'
import { chartChange, hardwareChange, newInstrument, pick, type Random } from './random-instrument'

export interface Walked {
  readonly instruments: number
  readonly pages: number
  readonly refused: number
  /** What should never be, each with how it came about. */
  readonly faults: readonly string[]
}

const OF_INSTRUMENT = [
  '',
  '/about',
  '/measuring',
  '/measuring-sheet',
  '/photo',
  '/chart',
  '/hardware',
  '/which',
  '/belongs',
  '/tune',
  '/round',
  '/wear',
  '/inspection',
  '/restring',
  '/bench',
  '/habits',
]
const OF_JOB = ['', '/coil', '/figures', '/steps', '/card', '/habits', '/log']
const AFTER_JOB = ['/done', '/report']
const OF_WORKSHOP = [
  '/',
  '/instruments',
  '/wear',
  '/settling',
  '/orders',
  '/stores',
  '/stores/labels',
  '/stores/cutting',
  '/wear/before',
  '/history',
]
const DRILLS = ['which', 'name', 'material', 'tie', 'slack', 'raise', 'hear', 'wrong']
const NO_FIGURE = /\bNaN\b|\bundefined\b|\bInfinity\b|\[object/
/** What is left of a sentence where a value was empty, and a plural for one. */
const BAD_GRAMMAR =
  /, ,|· ·|\( ?\)|(?:^|[^\d.,–−-])\b1 (?:strings|days|hours|weeks|months|years|minutes|turns|wraps|coils|reels|packets|needs|orders|jobs|knots|pieces|notes|pins|breaks|pictures|readings|instruments|visits|times)\b/
/** Nobody can be so sure of strings of which nothing is known; once they are changed one may be. */
const TOO_SURE =
  /as it is now\s*&gt;\s*99\.9|&gt;\s*99\.9 %\s+chance that nothing breaks too late to mend\s+Nothing is to be changed/

/**
 * @param base - address of the server
 * @param count - instruments
 * @param share - of the pages of each that are opened, drawn at random
 */
export async function walkWorlds(
  base: string,
  count: number,
  seed: number,
  share = 1,
  said: (done: number) => void = () => {},
): Promise<Walked> {
  const random = seeded(seed)
  const faults = new Map<string, string>()
  const fault = (what: string, how: string) => {
    if (!faults.has(what)) faults.set(what, how)
  }
  let [pages, refused, entered] = [0, 0, 0]
  const open = async (address: string, how: string) => {
    if (random() >= share) return
    pages += 1
    const response = await fetch(base + address)
    const html = await response.text()
    const at = address
      .replace(/world-\d+/, 'X')
      .replace(/\d+/g, 'n')
      .replace(/\?.*/, '')
    if (response.status >= 500 || html.includes('This page could not be drawn'))
      return fault(`${at}: ${response.status}`, `${address}: ${how}`)
    const text = html
      .replace(/<(script|style)[\s\S]*?<\/\1>/g, '')
      .replace(/<!--.*?-->/g, '')
      .replace(/<[^>]+>/g, ' ')
    const nonsense = NO_FIGURE.exec(text)
    if (nonsense) fault(`${at} shows ${nonsense[0]}`, `${address}: ${how}`)
    const broken = BAD_GRAMMAR.exec(text)
    if (broken)
      fault(
        `${at} reads “${text.slice(broken.index - 40, broken.index + 30).replace(/\s+/g, ' ')}”`,
        `${address}: ${how}`,
      )
    if (at === '/wear/before' && /nobody recorded the age of any/i.test(text) && TOO_SURE.test(text))
      fault(`${at} is too sure`, `${address}: ${how}`)
  }
  const ask = async (method: 'POST' | 'PATCH', address: string, body: object) => {
    const response = await fetch(base + address, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    const answer = (await response.json()) as {
      readonly sentence?: string
      readonly slug?: string
      readonly jobId?: number
    }
    if (response.status >= 500)
      fault(
        `${method} ${address.replace(/\d+/g, 'n')}: ${response.status}`,
        JSON.stringify(body).slice(0, 400),
      )
    if (answer.sentence !== undefined && NO_FIGURE.test(answer.sentence))
      fault(`“${answer.sentence}”`, JSON.stringify(body).slice(0, 400))
    if (!response.ok) refused += 1
    return answer
  }
  for (let i = 0; i < count; i += 1) {
    const { slug } = await ask('POST', '/api/instruments', newInstrument(random, `World ${i}`))
    if (slug === undefined) continue
    entered += 1
    const read = async (): Promise<Instrument> =>
      fromInstrumentFile(await (await fetch(`${base}/api/instruments/${slug}/chart?as=json`)).json())
    const how: string[] = []
    const fresh = await read()
    for (let n = 0; n < 3; n += 1) {
      const lines = hardwareChange(random, fresh)
      const answer = await ask('PATCH', `/api/instruments/${slug}/hardware`, { lines })
      if (answer.sentence === undefined) how.push(changedWords(lines))
    }
    const lines = chartChange(random, fresh)
    if (lines.length > 0) {
      const answer = await ask('PATCH', `/api/instruments/${slug}/chart`, { lines })
      if (answer.sentence === undefined) how.push(JSON.stringify(lines[0]))
    }
    const instrument = await read().catch((error: Error) => {
      fault(
        `its own file is refused: ${error.message.replace(/[\d.]+/g, 'n')}`,
        how.join(' | ').slice(0, 900),
      )
      return null
    })
    if (!instrument) continue
    await openAll(random, instrument, slug, how.join(' | ').slice(0, 900), open, ask)
    said(i + 1)
  }
  return {
    instruments: entered,
    pages,
    refused,
    faults: [...faults].map(([what, how]) => `${what}\n    ${how}`),
  }
}

/** Every page of an instrument, and of a job on one of its strings from its break to its end. */
async function openAll(
  random: Random,
  { positions, family }: Instrument,
  slug: string,
  how: string,
  open: (address: string, how: string) => Promise<void>,
  ask: (method: 'POST', address: string, body: object) => Promise<{ readonly jobId?: number }>,
): Promise<void> {
  const string = 1 + Math.floor(random() * positions.length)
  const told = `${family}, string ${string}: ${how}`
  for (const page of OF_INSTRUMENT) await open(`/instruments/${slug}${page}?string=${string}`, told)
  await open(`/wear/before?on=${slug}`, told)
  await open(`/practice?on=${slug}`, told)
  await open(`/practice/${pick(random, DRILLS)}/${slug}`, told)
  await open(pick(random, OF_WORKSHOP), told)
  const { jobId } = await ask('POST', '/api/breaks', {
    instrument: slug,
    string,
    site: pick(random, BREAK_SITES),
  })
  const job = jobId ?? (await ask('POST', '/api/jobs', { instrument: slug, string })).jobId
  if (job === undefined) return
  for (const page of OF_JOB) await open(`/jobs/${job}${page}`, told)
  await ask('POST', `/api/jobs/${job}/in-hand`, { unit: 'mm' })
  for (const page of OF_JOB) await open(`/jobs/${job}${page}`, told)
  await ask('POST', `/api/jobs/${job}/finish`, { unit: 'mm', cut: '500', wraps: 3 })
  for (const page of AFTER_JOB) await open(`/jobs/${job}${page}`, told)
}

function changedWords(lines: readonly object[]): string {
  const [first] = lines
  return first === undefined ? '' : `${lines.length} × ${JSON.stringify(first)}`
}
