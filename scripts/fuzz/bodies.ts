/** Bodies made from what the classes of requests say of themselves: nearly right, so that they get far, and wrong somewhere. */
import 'reflect-metadata'
import { getMetadataStorage } from 'class-validator'
import { readdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import path from 'node:path'
import { BY_FIELD, hostile, ID_LIKE, LENGTHS, pick, WORDS } from './values'

type Shape = new () => object

const load = createRequire(__filename)

/** What the fields of classes are of; the package tells it by no name of its own. */
const { defaultMetadataStorage } = load('class-transformer/cjs/storage') as {
  defaultMetadataStorage: {
    findTypeMetadata(of: Shape, field: string): { typeFunction(): unknown } | undefined
  }
}

/** Every class of a request, by its name. */
export function allShapes(): ReadonlyMap<string, Shape> {
  const folders = ['src/boundary/requests', 'src/boundary']
  return new Map(
    folders
      .flatMap((folder) =>
        readdirSync(folder)
          .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
          // Read as the program reads them, whatever they import.
          .map((file) => load(path.resolve(folder, file)) as Record<string, unknown>),
      )
      .flatMap((module) => Object.entries(module))
      .filter((entry): entry is [string, Shape] => /^([A-Z]\w*Request|Nothing)$/.test(entry[0])),
  )
}

/** How often a value is one that nobody should send. */
const WRONG = 0.05

/** A body for a class, nearly right. */
export function bodyFor(shape: Shape, random: () => number, depth = 0): Record<string, unknown> {
  const rules = getMetadataStorage().getTargetValidationMetadatas(shape, '', false, false)
  const fields = [...new Set(rules.map(({ propertyName }) => propertyName))]
  const body: Record<string, unknown> = {}
  for (const field of fields) {
    if (random() < 0.02) continue
    const own = rules.filter(({ propertyName }) => propertyName === field)
    const rule = (name: string) => own.find((one) => one.name === name)
    if (rule('isOptional') && random() < 0.4) continue
    if (random() < WRONG) {
      body[field] = hostile(random)
      continue
    }
    const nested = defaultMetadataStorage.findTypeMetadata(shape, field)?.typeFunction() as Shape | undefined
    const one = (): unknown =>
      nested
        ? depth > 3
          ? {}
          : bodyFor(nested, random, depth + 1)
        : valueBy(field, (name) => rule(name)?.constraints as readonly unknown[] | undefined, random)
    body[field] =
      rule('isArray') || own.some(({ each }) => each)
        ? Array.from({ length: Math.floor(random() * 4) }, one)
        : one()
  }
  if (random() < 0.03) body[pick(['constructor', '__proto__', 'toString', 'extra'], random)] = hostile(random)
  return body
}

function valueBy(
  field: string,
  rule: (name: string) => readonly unknown[] | undefined,
  random: () => number,
): unknown {
  const among = rule('isIn')
  if (among) return pick(among[0] as readonly unknown[], random)
  if (rule('isBoolean')) return random() < 0.5
  const least = Number(rule('min')?.[0] ?? 1)
  const most = Number(rule('max')?.[0] ?? Math.max(least, 60))
  if (rule('isInt')) return least + Math.floor(random() * (Math.min(most, least + 200) - least + 1))
  if (rule('isNumber')) return least + random() * (Math.min(most, least + 200) - least)
  if (rule('isTimeZone')) return pick(['Europe/Paris', 'UTC', 'America/Lima'], random)
  if (rule('isGoes')) return [[1 + Math.floor(random() * 9)], [12, 3]].slice(0, 1 + Math.floor(random() * 2))
  if (rule('isBase64')) return Buffer.from(String(random())).toString('base64')
  if (rule('isLengthText')) return pick(LENGTHS, random)
  if (/instrument|slug/i.test(field)) return pick(ID_LIKE, random)
  const known = Object.entries(BY_FIELD).find(([names]) => new RegExp(`^(${names})$`).test(field))
  return known && random() < 0.8 ? pick(known[1], random) : pick(WORDS, random)
}
