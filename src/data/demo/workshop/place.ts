/** A string of the laid-out workshop with what is worked out for it once, before the years begin. */
import { ruleOfTail } from '@/core/fitting/tail'
import { FRESH } from '@/core/fitting/context'
import { fittingFigures } from '@/core/fitting/figures'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import type { StepKey } from '@/core/fitting/step'
import { windsOnPin } from '@/core/fitting/head-way'
import { samePiece, type StringPosition } from '@/core/instrument/instrument'
import { specAt, specKey, type SoldSpec } from '@/core/stores/string-spec'
import { sitesFor, type BreakSite } from '@/core/wear/break-sites'
import { fitString } from '../../fitted/fitted'
import { workshopSettings } from '../../workshop/settings'
import { positionId, type StoredInstrument } from '../../instruments/instruments'
import type { Store } from '../../store/database'

export interface Place {
  readonly stored: StoredInstrument
  readonly position: StringPosition
  readonly ids: readonly number[]
  readonly spec: SoldSpec
  readonly key: string
  /** m; wraps null where nothing is wound on a pin. */
  readonly cut: number
  readonly wraps: number | null
  readonly sites: readonly BreakSite[]
  readonly steps: readonly StepKey[]
  readonly parked: boolean
}

export function placesOf(store: Store, stored: StoredInstrument): readonly Place[] {
  const { instrument } = stored
  const { habits } = workshopSettings(store)
  return instrument.positions.flatMap((position): Place[] => {
    const served = samePiece(instrument, position)
    if (served[0]?.number !== position.number) return []
    const figures = fittingFigures(instrument, position, habits)
    const context = fittingContext(instrument, position, figures, habits, FRESH)
    const spec = { ...specAt(position, instrument.tensionClass), tensionClass: instrument.tensionClass }
    return [
      {
        stored,
        position,
        ids: served.map((p) => positionId(stored, p.number)),
        spec,
        key: specKey(spec),
        cut: Math.ceil(figures.cut.total * 1000) / 1000,
        wraps: windsOnPin(position) ? (figures.strings[0]?.wrapsBySum ?? null) : null,
        sites: sitesFor(position),
        steps: fittingSteps(context).map(({ key }) => key),
        parked: ruleOfTail(context) === 'parked',
      },
    ]
  })
}

export function fitSet(store: Store, places: readonly Place[]): void {
  const [first] = places
  if (!first) return
  const { stored } = first
  store.act(
    { kind: 'new set', summary: `A whole new set on ${stored.instrument.name}`, instrumentId: stored.id },
    () => {
      for (const { position, ids } of places)
        fitString(store, {
          instrumentId: stored.id,
          coilId: null,
          construction: position.construction,
          at: store.now(),
          positionIds: ids,
        })
    },
  )
}
