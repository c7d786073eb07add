/**
 * Numbers in millimetres, checked against what can be.
 */
import { registerDecorator } from 'class-validator'
import { BOUNDS, canBe, type Bounded } from '@/core/strings/bounds'

/** What is no length is taken as it stands. */
const PLAIN: readonly Bounded[] = ['gear ratio', 'reference A']

/** Marks a number in millimetres, or a plain one, that must lie within the bounds of what it is. */
export function Within(what: Bounded): PropertyDecorator {
  const plain = PLAIN.includes(what)
  const [least, most] = BOUNDS[what]
  const shown = (value: number) => Number((plain ? value : value * 1000).toPrecision(6))
  return (target, propertyKey) => {
    registerDecorator({
      name: 'within',
      target: target.constructor,
      propertyName: String(propertyKey),
      // For the schema of the file.
      constraints: [shown(least), shown(most)],
      validator: {
        validate: (value) => typeof value === 'number' && canBe(what, plain ? value : value / 1000),
        defaultMessage: () => `expected ${shown(least)} to ${shown(most)}${plain ? '' : ' mm'}`,
      },
    })
  }
}
