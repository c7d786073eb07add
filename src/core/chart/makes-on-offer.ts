/**
 * What can be bought for an instrument, make by make, in the order that its sections follow one another.
 */
import { FINE_WRAP_GAUGES, PLAIN_GAUGES, WRAP_GAUGES } from '../instrument/gauges-on-offer'
import { itemAt } from '../list/item-at'
import { outerGauge, type Construction, type WoundString } from '../strings/construction'
import type { ChartLine } from './chart-line'
import { readMake, type Make } from './material-text'
import type { MakeOnOffer } from './rebuild'

/** Cores thinner than this are wound with the finer wires, m. */
const THIN_CORE = 0.75e-3

/** Core of a wound string where no core of its make is known, m. */
const USUAL_CORE = 0.5e-3
/** Thickness of a bedding where none is known, m. */
const USUAL_BEDDING = 0.08e-3

/**
 * The makes that the lines show, treble first, each with every gauge that is stocked of it.
 *
 * @param lines - those whose make is known count, whether the gauge is known or not
 */
export function makesShown(lines: readonly ChartLine[]): readonly MakeOnOffer[] {
  const sorted = [...lines].sort((a, b) => a.number - b.number)
  const names = [...new Set(sorted.flatMap(({ make }) => (make === null ? [] : [make])))]
  return names.map((name) => {
    const shown = sorted.flatMap(({ number, construction, make }): Shown[] =>
      make === name && construction ? [{ number, construction }] : [],
    )
    return makeOnOffer(name, shown.length > 0 ? shown : [{ number: 1, construction: usual(readMake(name)) }])
  })
}

/** A string of a make of which no gauge is known; only what a gauge list doesn't give is taken from it. */
function usual(make: Make): Construction {
  if (make.kind === 'plain')
    return { kind: 'plain', material: make.material, gauge: PLAIN_GAUGES[make.material][0] ?? USUAL_CORE }
  const bedding = make.bedding ? { material: make.bedding, thickness: USUAL_BEDDING } : null
  return {
    kind: 'wound',
    core: { material: make.core, diameter: USUAL_CORE },
    bedding,
    wrap: { material: make.wrap, diameter: WRAP_GAUGES[0] ?? USUAL_CORE },
  }
}

interface Shown {
  readonly number: number
  readonly construction: Construction
}

/** One make as the strings that show it have it. */
function makeOnOffer(name: string, shown: readonly Shown[]): MakeOnOffer {
  const sample = itemAt(shown, 0).construction
  if (sample.kind === 'plain') {
    const { material } = sample
    const gauges = withShown(
      PLAIN_GAUGES[material],
      shown.map(({ construction }) => outerGauge(construction)),
    )
    const all = gauges.map((gauge): Construction => ({ kind: 'plain', material, gauge }))
    return { name, candidates: () => all }
  }
  const cores = shown as readonly { readonly number: number; readonly construction: WoundString }[]
  const thin = cores.every(({ construction }) => construction.core.diameter < THIN_CORE)
  const wraps = withShown(
    thin ? [...FINE_WRAP_GAUGES, ...WRAP_GAUGES] : WRAP_GAUGES,
    cores.map(({ construction }) => construction.wrap.diameter),
  )
  return {
    name,
    candidates: (number) =>
      wraps.map((diameter): Construction => ({
        ...sample,
        core: { ...sample.core, diameter: coreAt(cores, number) },
        wrap: { ...sample.wrap, diameter },
      })),
  }
}

/** The stocked gauges and those seen on the instrument, thinnest first. */
function withShown(stocked: readonly number[], seen: readonly number[]): readonly number[] {
  const all = [...stocked, ...seen].sort((a, b) => a - b)
  return all.filter((gauge, i) => i === 0 || gauge - itemAt(all, i - 1) > 1e-6)
}

/** Core diameter at a number, between the cores that are known, to a hundredth of a millimetre. */
function coreAt(
  cores: readonly { readonly number: number; readonly construction: WoundString }[],
  number: number,
): number {
  const at = (i: number) => itemAt(cores, i)
  const next = cores.findIndex((core) => core.number >= number)
  if (next === 0 || cores.length === 1) return at(0).construction.core.diameter
  if (next < 0) return at(cores.length - 1).construction.core.diameter
  const [a, b] = [at(next - 1), at(next)]
  const share = (number - a.number) / (b.number - a.number)
  return (
    Math.round(
      (a.construction.core.diameter + share * (b.construction.core.diameter - a.construction.core.diameter)) *
        1e5,
    ) / 1e5
  )
}
