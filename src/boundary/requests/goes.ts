import { ValidateBy, type ValidationOptions } from 'class-validator'

const MOST = 200

/** A list of lists of string numbers, none of them longer than an instrument has strings. */
export const IsGoes = (options: ValidationOptions) =>
  ValidateBy({ name: 'isGoes', validator: { validate: isGoes } }, options)

function isGoes(value: unknown): boolean {
  return (
    Array.isArray(value) &&
    value.every(
      (go: unknown) =>
        Array.isArray(go) &&
        go.length > 0 &&
        go.length <= MOST &&
        go.every(
          (number: unknown) =>
            Number.isInteger(number) && (number as number) >= 1 && (number as number) <= 999,
        ),
    )
  )
}
