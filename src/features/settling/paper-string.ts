import type { SettlingCurve } from '@/data/views/settling-view'
import type { PaperString } from '@/drawings/SettlingPaper'
import { propertiesOf } from '@/core/strings/materials'

/** A settling string as the paper draws it. */
export function paperString(curve: SettlingCurve, label: string): PaperString {
  const { fittedId, positionId, perDecade, tau, age, points, tuned, material, slipping } = curve
  return {
    key: `${fittedId} ${positionId}`,
    label,
    law: { perDecade, tau },
    age,
    points,
    tuned,
    tone: propertiesOf(material).wire ? 'wire' : material === 'gut' || material === 'silk' ? 'gut' : 'nylon',
    isSlipping: slipping,
  }
}
