'use client'

import { positionAt } from '@/core/instrument/instrument'
import { theName } from '@/core/instrument/names'
import type { Own } from '@/core/practice/drill'
import { faultFacts } from '@/core/practice/faults'
import type { Choice } from '@/core/practice/choice'
import type { PickQuestion } from '@/core/practice/question'
import { ownFigures } from '@/core/practice/slack-score'
import { FaultDrawing } from '@/drawings/FaultDrawing'
import { ShownKnots, ShownOneKnot } from './ShownKnot'
import { ShownField } from './ShownField'
import { ShownSound } from './ShownSound'
import { ShownSpecimen } from './ShownSpecimen'

interface ShownPictureProps {
  readonly own: Own
  readonly question: PickQuestion
  /** Null while it is asked. */
  readonly chosen: Choice | null
}

/** What is seen, or heard, beside a question. */
export function ShownPicture({ own, question, chosen }: ShownPictureProps) {
  const { shows, number } = question
  const isTold = chosen !== null
  switch (shows.what) {
    case 'broken string':
    case 'string':
      return (
        <ShownField
          instrument={own.instrument}
          number={number}
          isBroken={shows.what === 'broken string'}
          chosen={chosen && chosen.mistake !== null ? chosen.brings : null}
          isTold={isTold}
        />
      )
    case 'specimen':
      return <ShownSpecimen specimen={shows.specimen} isTold={isTold} />
    case 'knot':
      return <ShownOneKnot knot={shows.knot} isTold={isTold} />
    case 'knots':
      return <ShownKnots knots={shows.knots} choices={question.choices} isTold={isTold} />
    case 'sound':
      return <ShownSound own={own} sound={shows.sound} chosen={chosen} />
    case 'fault': {
      const position = positionAt(own.instrument, number)
      const name = theName(position, own.habits.octaveNames)
      return (
        <FaultDrawing
          fault={shows.fault}
          isTold={isTold}
          figures={ownFigures(own, position)}
          title={`How ${name} is put on${isTold ? `: ${faultFacts(shows.fault).word.toLowerCase()}` : ''}.`}
          className="mx-auto max-h-[34vh] w-full md:max-h-[30rem]"
        />
      )
    }
  }
}
