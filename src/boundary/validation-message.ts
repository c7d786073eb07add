/** What the checks of a field say where no sentence was written for it: the package’s own words are for programmers. */
import type { ValidationError } from 'class-validator'

const BY_CHECK: Readonly<Record<string, string>> = {
  isString: 'expected text',
  isInt: 'expected a whole number',
  isNumber: 'expected a number',
  isPositive: 'expected more than nothing',
  isBoolean: 'expected yes or no',
  isArray: 'expected a list',
  isObject: 'expected something with fields of its own',
  nestedValidation: 'expected something with fields of its own',
  arrayMaxSize: 'that is too long a list',
  arrayMinSize: 'that is too short a list',
  arrayNotEmpty: 'nothing is in the list',
  isNotEmpty: 'it is missing',
  maxLength: 'that is too long',
  min: 'that is too little',
  max: 'that is too much',
  isIn: 'that is none of what can be chosen',
  isTimeZone: 'there is no such time zone',
}

/** As the package words it: the name of the field, and what it must be. */
const ITS_OWN = /^(each value in )?(nested property )?[\w]+ (must|should|cannot|has wrong)\b/

/**
 * The sentence for a field that is not right, without its full stop.
 *
 * @param named - what the field is called, to begin a sentence
 */
export function validationMessage(
  { constraints }: Pick<ValidationError, 'constraints'>,
  named: string,
): string {
  const [check, told] = Object.entries(constraints ?? {})[0] ?? ['', '']
  if (told !== '' && !ITS_OWN.test(told)) return told
  const among = /following values: (.*)$/.exec(told)?.[1]
  return `${named}: ${among === undefined ? (BY_CHECK[check] ?? 'that is not right') : `expected one of ${among}`}`
}
