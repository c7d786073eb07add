import { ValidateBy, type ValidationOptions } from 'class-validator'

const MAX_STRINGS_A_GO = 200

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
        go.length <= MAX_STRINGS_A_GO &&
        go.every(
          (number: unknown) =>
            Number.isInteger(number) && (number as number) >= 1 && (number as number) <= 999,
        ),
    )
  )
}
