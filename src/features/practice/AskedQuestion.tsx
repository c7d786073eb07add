'use client'

import { AskedMemory } from './AskedMemory'
import { AskedOrder } from './AskedOrder'
import { AskedPick } from './AskedPick'
import { AskedRaise } from './AskedRaise'
import { AskedSlack } from './AskedSlack'
import type { AskedProps } from './asked-props'

/** One question, as its kind is asked. */
export function AskedQuestion({ question, ...props }: AskedProps) {
  switch (question.kind) {
    case 'pick':
      return <AskedPick question={question} {...props} />
    case 'order':
      return <AskedOrder question={question} {...props} />
    case 'memory':
      return <AskedMemory question={question} {...props} />
    case 'slack':
      return <AskedSlack question={question} {...props} />
    case 'raise':
      return <AskedRaise question={question} {...props} />
  }
}
