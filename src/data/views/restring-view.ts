/** An instrument before or in a restring: what it needs, what the stores hold of it, and how far it is. */
import { fittingFigures } from '@/core/fitting/figures'
import { firstOfPieces, soldByClass, type Instrument } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import type { RestringBy } from '@/core/restring/bench-of'
import { stopBlocks, type StopBlock } from '@/core/restring/stop-block'
import { specAt, specKey } from '@/core/stores/string-spec'
import { materialWord, outerGauge } from '@/core/strings/construction'
import { boardEffects } from '../fitted/board-effects'
import { workshopSettings } from '../workshop/settings'
import { positionId, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { lastRestring, type Restring } from '../jobs/restrings'
import type { Store } from '../store/database'

/** What one piece asks for. */
export interface PieceAsked {
  /** Number of its first string. */
  readonly id: number
  readonly positionId: number
  readonly name: string
  readonly what: string
  readonly kind: string
  /** m */
  readonly gauge: number
  readonly cut: number
  /** Its job is open already, outside a restring. */
  readonly hasJob: boolean
}

/** Strings of one make next to each other. */
export interface Section {
  readonly word: string
  readonly from: number
  readonly to: number
}

export interface RestringView {
  readonly instrument: Instrument
  readonly by: RestringBy
  readonly pieces: readonly PieceAsked[]
  readonly sections: readonly Section[]
  /** For its pins, as they are set on a new instrument. */
  readonly blocks: readonly StopBlock[]
  readonly currency: string
  /** The house’s people, by name. */
  readonly people: readonly string[]
  readonly restring: Restring | null
}

export function restringView(store: Store, stored: StoredInstrument): RestringView {
  const { instrument, habits } = stored
  const { loadShare, retuneAtCents, currency, people } = workshopSettings(store)
  const { seen, senses } = boardEffects(store, stored)
  const restring = lastRestring(store, stored)
  const withJob = new Set(openJobs(store).map(({ positionId }) => positionId))
  return {
    instrument,
    by: { loadShare, retuneAtCents, ...(seen > 0 ? { senses } : {}) },
    pieces: firstOfPieces(instrument).map((position): PieceAsked => {
      const spec = specAt(position, soldByClass(instrument))
      const at = positionId(stored, position.number)
      return {
        id: position.number,
        positionId: at,
        name: leadingNames(position, habits.octaveNames).name,
        what: materialWord(position.construction),
        kind: specKey(spec),
        gauge: outerGauge(position.construction),
        cut: fittingFigures(instrument, position, habits).cut.total,
        hasJob: withJob.has(at),
      }
    }),
    sections: sectionsOf(instrument),
    blocks: stopBlocks(instrument, habits),
    currency,
    people,
    restring,
  }
}

function sectionsOf({ positions }: Instrument): readonly Section[] {
  const sections: { word: string; from: number; to: number }[] = []
  for (const { number, construction } of positions) {
    const word = materialWord(construction)
    const last = sections.at(-1)
    if (last && last.word === word) last.to = number
    else sections.push({ word, from: number, to: number })
  }
  return sections
}
