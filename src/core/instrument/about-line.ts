import type { Instrument } from './instrument'

/** Maker and model, as far as its owner wrote them: `Alder Yard, Rowan`. */
export function makeLine({ maker, model }: Pick<Instrument, 'maker' | 'model'>): string {
  return [maker, model]
    .map((text) => text.trim())
    .filter((text) => text !== '')
    .join(', ')
}

/** The same and whose it is: `Alder Yard, Rowan · M. Hale`; empty where nobody wrote anything. */
export function aboutLine(instrument: Pick<Instrument, 'maker' | 'model' | 'owner'>): string {
  return [makeLine(instrument), instrument.owner.trim()].filter((text) => text !== '').join(' · ')
}
