/**
 * How fast the knots are: pictures a second while each is tied, its crossings and invariants, and how large they are. Part
 * of `npm run bench`; needs the production build.
 */
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { holdOfTailEnd } from '@/core/knots/tails/hold'
import { tellCrossings } from '@/core/knots/tails/tell-crossings'
import { FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { FASTENINGS, tyingOf } from '@/core/knots/tying'
import { onDemo } from './on-demo'

const ROUNDS = 20
const heaviest = { what: '', ms: 0 }
for (const fastening of FASTENINGS) {
  const tying = tyingOf(fastening, { place: 'behind the bight' })
  tying.stages.forEach((_, i) => {
    const state = tying.stateAt(i + 1)
    const work = () => {
      tellCrossings(state, FROM_OUTSIDE, 'right')
      if (tying.tailEnd) holdOfTailEnd(tying.tailEnd)
    }
    work()
    const start = performance.now()
    for (let round = 0; round < ROUNDS; round += 1) work()
    const ms = (performance.now() - start) / ROUNDS
    if (ms > heaviest.ms) Object.assign(heaviest, { what: `${fastening}, stage ${i + 1}`, ms })
  })
}
console.log(
  `crossings in words and invariants of a stage: at most ${heaviest.ms.toFixed(1)} ms (${heaviest.what})`,
)
const states = readFileSync('src/core/knots/drawn/states.json')
console.log(
  `states of all knots being drawn down: ${(states.length / 1000).toFixed(0)} kB, ${(gzipSync(states).length / 1000).toFixed(0)} kB as they are sent`,
)

/** As text: a function with a name of its own can't be handed to the page from here. */
const PICTURES_A_SECOND = `new Promise((done) => {
  const from = performance.now()
  let pictures = 0
  const count = (now) => { pictures += 1; if (now - from < 1150) requestAnimationFrame(count); else done((pictures * 1000) / (now - from)) }
  requestAnimationFrame(count)
})`

void onDemo(async (browser, home) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  for (const knot of ['third loop', 'twisted loop', 'second wrap crossed', 'layered foot wrap']) {
    await page.goto(`${home}/knots?knot=${encodeURIComponent(knot)}`, { waitUntil: 'networkidle' })
    await page.waitForTimeout(2500)
    const next = page.getByRole('button', { name: 'Next', exact: true })
    const rates: number[] = []
    while (await next.isEnabled()) {
      await next.click()
      rates.push(await page.evaluate<number>(PICTURES_A_SECOND))
      await page.waitForTimeout(400)
    }
    console.log(
      `${knot}: pictures a second while each stage is tied: ${rates.map((rate) => rate.toFixed(0)).join(', ')}`,
    )
  }
})
