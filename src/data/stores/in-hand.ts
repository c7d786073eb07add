/**
 * A string that is in the hand and was never booked in: taken for a job with one press, and what is left of it kept, if
 * anyone wants it, with another.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { asMeasured } from '@/core/identify/as-measured'
import { belongs, type Reason } from '@/core/identify/belongs'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { specAt } from '@/core/stores/string-spec'
import { chooseCoilOf } from '../jobs/coil-of-job'
import { jobById, unfinished } from '../jobs/job'
import { stringOf } from '../jobs/string-of'
import type { Done, Store } from '../store/database'
import { inMm } from '../store/millimetres'
import { coils } from '../store/schema'
import { addCoil, coilById } from './coils'

/** What is there beyond the cut where nobody said how long the string is, m: a cut on the instrument comes out longer. */
const ROOM = 0.5
/** Standard error of a digital calliper, m. */
const CALLIPER_ERROR = 1e-5

/** What speaks against a string, in a few words. */
const AGAINST: Readonly<Record<Reason['about'], string>> = {
  material: 'its material is another',
  chart: 'the chart asks for another',
  'old string': 'the old string was another',
  neighbours: 'it lies outside its neighbours',
  'tension class': 'its class is another',
  packet: 'its packet is for another instrument',
  strength: 'it would stand too close to breaking',
}

export interface InHand {
  /** As the calliper reads it, m; null for the charted string. */
  readonly gauge: number | null
  /** m; null where nobody measured it. */
  readonly length: number | null
}

/**
 * Takes the string that is in the hand for a job.
 *
 * @throws Refusal 400 when it does not belong there, or is too short
 */
export function takeInHand(store: Store, jobId: number, { gauge, length }: InHand): Done<void> {
  const job = unfinished(jobById(store, jobId))
  const { instrument, position } = job
  const charted = position.construction
  const construction =
    gauge === null
      ? charted
      : asMeasured(charted.kind === 'wound' ? 'wound, as charted' : charted.material, gauge, charted)
  const { verdict, reasons } = belongs(
    instrument,
    position,
    { construction, error: CALLIPER_ERROR, tensionClass: null, madeFor: null },
    null,
  )
  if (verdict === 'no') {
    const because = AGAINST[reasons.find((one) => one.verdict === 'no')?.about ?? 'chart']
    throw gauge === null
      ? new Refusal(
          400,
          `The string that is charted can’t be right: ${because}. Measure the instrument, or correct its chart.`,
        )
      : new Refusal(400, `A string of that gauge does not belong here: ${because}.`, 'gauge')
  }
  const cut = fittingFigures(instrument, position, job.habits, construction, job.corrections).cut.total
  if (length !== null && length < cut)
    throw new Refusal(
      400,
      `The cut is ${Math.ceil(cut * 1000)} mm, and ${Math.round(length * 1000)} mm are too short for it.`,
      'length',
    )
  const name = stringOf(job, position)
  return store.act({ kind: 'coil', summary: `The ${name} taken from the hand`, instrumentId: job.id }, () => {
    const coilId = addCoil(store, {
      label: `In hand for ${withThe(name)}`,
      ...specAt(position, soldByClass(instrument)),
      tensionClass: instrument.tensionClass,
      construction,
      maker: '',
      line: '',
      place: 'in hand',
      boughtAt: store.now(),
      boughtLength: length ?? cut + ROOM,
      inHand: length === null,
    })
    chooseCoilOf(store, jobId, coilId)
  })
}

/**
 * Keeps what is left of a string that was in the hand.
 *
 * @param left - m
 * @throws Refusal 409 when its length was known all along
 */
export function keepRest(store: Store, coilId: number, left: number): Done<void> {
  const coil = coilById(store, coilId)
  if (!coil.inHand || coil.lengthLeft > 0)
    throw new Refusal(409, `${coil.label} is in the stores already: set its length right there.`)
  return store.act({ kind: 'stores', summary: `${coil.label}: the rest kept` }, () => {
    store.rows
      .update(coils)
      .set({
        label: coil.label.replace(/^In hand for/, 'Rest of'),
        place: 'remainders',
        boughtMm: inMm(coil.boughtLength + left),
        leftMm: inMm(left),
        inHand: false,
      })
      .where(eq(coils.id, coilId))
      .run()
  })
}
