/**
 * An instrument as an open file: JSON, lengths in millimetres. Reading checks every field and says what is wrong.
 */
import 'reflect-metadata'
import { Type, plainToInstance } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
  validateSync,
  type ValidationError,
} from 'class-validator'
import { plainJson } from '@/boundary/plain-json'
import { validationMessage } from '@/boundary/validation-message'
import {
  CALLED_BY,
  calledAs,
  callingOf,
  COUNTED_FROM,
  type CalledBy,
  type CountedFrom,
} from '@/core/instrument/called'
import { MOST_STRINGS } from '@/core/instrument/change-strings'
import { FAMILIES } from '@/core/instrument/family'
import {
  BEARINGS,
  TENSION_CLASSES,
  LEVERS_OFF,
  STRUNG,
  type LeversOff,
  type Bearing,
  type Instrument,
  type StringPosition,
  type Strung,
} from '@/core/instrument/instrument'
import { boardProblem } from '@/core/hardware/board-in-string'
import { layersOver } from '@/core/instrument/layers'
import { fasteningNamed, HEAD_FASTENINGS, TAIL_NAMES } from '@/core/knots/fastenings'
import { scientificWord } from '@/core/pitch/note'
import { parseNote } from '@/core/pitch/parse-note'
import { MATERIALS } from '@/core/strings/materials'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import { cannotBe } from '@/core/strings/bounds'
import type { Written } from '@/core/strings/written-lengths'
import { PIN_SETTINGS, TURNED_BY, type PinSetting, type TurnedBy } from '@/core/winding/pin'
import {
  constructionColumns,
  constructionFrom,
  type ConstructionColumns,
} from '../store/construction-columns'
import { Within } from '@/boundary/within'
import { inMm, metres } from '../store/millimetres'

class ConstructionFile implements ConstructionColumns {
  @IsIn(MATERIALS) material!: ConstructionColumns['material']
  @Within('gauge') gaugeMm!: number
  @IsOptional() @Within('core') coreMm!: number | null
  @IsOptional() @IsIn(MATERIALS) beddingMaterial!: ConstructionColumns['beddingMaterial']
  @IsOptional() @Within('bedding') beddingMm!: number | null
  @IsOptional() @IsIn(MATERIALS) wrapMaterial!: ConstructionColumns['wrapMaterial']
  @IsOptional() @Within('wrap') wrapMm!: number | null
}

class PinFile {
  /** Left out in older files: a threaded pin stands upright, any other goes through the neck. */
  @IsOptional() @IsIn(PIN_SETTINGS) setting?: PinSetting
  /** Left out in older files: a peg is turned by hand, any other pin with the key. */
  @IsOptional() @IsIn(TURNED_BY) turnedBy?: TurnedBy
  @Within('pin diameter') diameterMm!: number
  @Within('gear ratio') gearRatio!: number
  @IsIn(['clockwise', 'anticlockwise']) tightens!: 'clockwise' | 'anticlockwise'
  @IsOptional() @Within('thread pitch') threadMm!: number | null
  @Within('height') heightMm!: number
  @IsIn(['top of pin', 'string hole']) heightDatum!: 'top of pin' | 'string hole'
  @Within('hole to end') holeToEndMm!: number
  @Within('height') bridgeHeightMm!: number
  @Within('to bridge') toBridgeMm!: number
}

class TailFile {
  /** Older files have a name for it that is read as today’s. */
  @IsIn(TAIL_NAMES) fastening!: StringPosition['tail']['fastening']
  /** Left out in older files. */
  @IsOptional() @IsIn(BEARINGS) bearing?: Bearing | null
  @Within('board') boardMm!: number
  @IsOptional() @Within('eyelet bore') eyeletBoreMm!: number | null
  @IsOptional() @Within('post') postMm!: number | null
}

class PointFile {
  @Within('place') x!: number
  @Within('place') y!: number
}

class PlaceFile {
  @IsObject() @ValidateNested() @Type(() => PointFile) tail!: PointFile
  @IsObject() @ValidateNested() @Type(() => PointFile) bridge!: PointFile
  @IsObject() @ValidateNested() @Type(() => PointFile) pin!: PointFile
}

class WrittenFile implements Written {
  @IsOptional() @MaxLength(60) @IsString() gauge?: string
  @IsOptional() @MaxLength(60) @IsString() core?: string
  @IsOptional() @MaxLength(60) @IsString() bedding?: string
  @IsOptional() @MaxLength(60) @IsString() wrap?: string
  @IsOptional() @MaxLength(60) @IsString() speaking?: string
  @IsOptional() @MaxLength(60) @IsString() free?: string
  @IsOptional() @MaxLength(60) @IsString() board?: string
  @IsOptional() @MaxLength(60) @IsString() eyelet?: string
  @IsOptional() @MaxLength(60) @IsString() post?: string
  @IsOptional() @MaxLength(60) @IsString() diameter?: string
  @IsOptional() @MaxLength(60) @IsString() thread?: string
  @IsOptional() @MaxLength(60) @IsString() height?: string
  @IsOptional() @MaxLength(60) @IsString() holeToEnd?: string
  @IsOptional() @MaxLength(60) @IsString() bridgeHeight?: string
  @IsOptional() @MaxLength(60) @IsString() toBridge?: string
}

class PositionFile {
  @IsInt() @Min(1) @Max(MOST_STRINGS) number!: number
  @IsOptional() @MaxLength(60) @IsString() makerLabel!: string | null
  @IsOptional() @MaxLength(40) @IsString() role?: string | null
  @IsOptional() @MaxLength(60) @IsString() askedMake!: string | null
  @Matches(/^[A-G](-flat |-sharp )?-?\d$/) note!: string
  @IsIn(['red', 'black', 'blue', 'natural']) colour!: StringPosition['colour']
  @IsObject() @ValidateNested() @Type(() => ConstructionFile) string!: ConstructionFile
  @Within('speaking length') speakingMm!: number
  @Within('free length') freeMm!: number
  /** Left out where nobody wrote a length in a way of their own. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => WrittenFile) written?: WrittenFile
  @IsOptional() @IsIn(['lever', 'disc']) mechanism!: StringPosition['mechanism']
  @IsInt() @Min(1) @Max(MOST_STRINGS) piece!: number
  @IsIn(HEAD_FASTENINGS) headFastening!: StringPosition['head']['fastening']
  @IsObject() @ValidateNested() @Type(() => PinFile) pin!: PinFile
  @IsObject() @ValidateNested() @Type(() => TailFile) tail!: TailFile
  @IsObject() @ValidateNested() @Type(() => PlaceFile) at!: PlaceFile
}

class CoveringFile {
  @IsInt() over!: number
  @IsInt() under!: number
}

export class InstrumentFile {
  @MaxLength(80) @Matches(/^[a-z][a-z0-9-]*$/) slug!: string
  @MaxLength(60) @IsNotEmpty() @IsString() name!: string
  @IsIn(FAMILIES) family!: Instrument['family']
  @MaxLength(80) @IsString() maker!: string
  @MaxLength(80) @IsString() model!: string
  @MaxLength(120) @IsString() owner!: string
  @IsIn(TENSION_CLASSES) tensionClass!: Instrument['tensionClass']
  @IsIn(REST_TUNINGS) restTuning!: string
  @Within('reference A') referenceA!: number
  @MaxLength(200) @IsNotEmpty() @IsString() lies!: string
  /** Left out in older files: as the players of its family do. */
  @IsOptional() @IsIn(CALLED_BY) calledBy?: CalledBy
  @IsOptional() @IsIn(COUNTED_FROM) countedFrom?: CountedFrom
  @IsOptional() @IsIn(STRUNG) strung?: Strung
  @IsOptional() @IsIn(LEVERS_OFF) leversOff?: LeversOff
  @ArrayMinSize(1, { message: 'an instrument has one string at least' })
  @ArrayMaxSize(MOST_STRINGS)
  @IsArray()
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => PositionFile)
  positions!: PositionFile[]
  @ArrayMaxSize(MOST_STRINGS * 8)
  @IsArray()
  @ValidateNested({ each: true })
  @IsObject({ each: true })
  @Type(() => CoveringFile)
  coverings!: CoveringFile[]
}

/** An instrument as the plain object that goes into the file. */
export function toInstrumentFile({ positions, ...about }: Instrument): InstrumentFile {
  return {
    ...about,
    coverings: about.coverings.map((c) => ({ ...c })),
    positions: positions.map((p) => ({
      number: p.number,
      makerLabel: p.makerLabel,
      role: p.called.role,
      askedMake: p.askedMake,
      note: scientificWord(p.note),
      colour: p.colour,
      string: constructionColumns(p.construction),
      speakingMm: inMm(p.speakingLength),
      freeMm: inMm(p.freeLength),
      ...(Object.keys(p.written ?? {}).length > 0 ? { written: { ...p.written } } : {}),
      mechanism: p.mechanism,
      piece: p.piece,
      headFastening: p.head.fastening,
      pin: {
        setting: p.head.pin.setting,
        turnedBy: p.head.pin.turnedBy,
        diameterMm: inMm(p.head.pin.diameter),
        gearRatio: p.head.pin.gearRatio,
        tightens: p.head.pin.tightens,
        threadMm: mmOrNull(p.head.pin.threadPitch),
        heightMm: inMm(p.head.pin.height),
        heightDatum: p.head.pin.heightDatum,
        holeToEndMm: inMm(p.head.pin.holeToEnd),
        bridgeHeightMm: inMm(p.head.pin.bridgeHeight),
        toBridgeMm: inMm(p.head.pin.toBridge),
      },
      tail: {
        fastening: p.tail.fastening,
        bearing: p.tail.bearing,
        boardMm: inMm(p.tail.boardThickness),
        eyeletBoreMm: mmOrNull(p.tail.eyeletBore),
        postMm: mmOrNull(p.tail.postDiameter),
      },
      at: { tail: pointInMm(p.at.tail), bridge: pointInMm(p.at.bridge), pin: pointInMm(p.at.pin) },
    })),
  }
}

/**
 * Reads an instrument from parsed JSON.
 *
 * @throws RangeError with one sentence that names the place and what is wrong there
 */
export function fromInstrumentFile(json: unknown): Instrument {
  const plain = typeof json === 'object' && json !== null && !Array.isArray(json)
  if (!plain)
    throw new RangeError('An instrument file: expected a JSON object with the instrument’s positions.')
  const file = plainToInstance(InstrumentFile, plainJson(json, false))
  const [error] = validateSync(file, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
  })
  if (error) throw new RangeError(`An instrument file: ${sentenceOf(error)}.`)
  const { positions, ...about } = file
  const calling = {
    ...callingOf(about.family),
    ...told({ calledBy: about.calledBy, countedFrom: about.countedFrom }),
  }
  const instrument: Instrument = {
    ...about,
    ...calling,
    strung: about.strung ?? 'as usual',
    leversOff: about.leversOff ?? 'not said',
    coverings: about.coverings
      .map(({ over, under }) => ({ over, under }))
      .sort((a, b) => a.over - b.over || a.under - b.under),
    positions: positions.map((p): StringPosition => ({
      number: p.number,
      called: calledAs(calling, p.number, positions.length, p.role ?? null),
      makerLabel: p.makerLabel ?? null,
      askedMake: p.askedMake ?? null,
      note: parseNote(p.note),
      colour: p.colour,
      construction: constructionFrom(p.string),
      speakingLength: metres(p.speakingMm),
      freeLength: metres(p.freeMm),
      ...(p.written ? { written: told({ ...p.written }) } : {}),
      mechanism: p.mechanism ?? null,
      piece: p.piece,
      head: {
        fastening: p.headFastening,
        pin: {
          setting: p.pin.setting ?? (p.pin.threadMm ? 'upright' : 'through the neck'),
          turnedBy: p.pin.turnedBy ?? (p.headFastening === 'peg cord' ? 'hand' : 'key'),
          diameter: metres(p.pin.diameterMm),
          gearRatio: p.pin.gearRatio,
          tightens: p.pin.tightens,
          threadPitch: metresOrNull(p.pin.threadMm),
          height: metres(p.pin.heightMm),
          heightDatum: p.pin.heightDatum,
          holeToEnd: metres(p.pin.holeToEndMm),
          bridgeHeight: metres(p.pin.bridgeHeightMm),
          toBridge: metres(p.pin.toBridgeMm),
        },
      },
      tail: {
        fastening: fasteningNamed(p.tail.fastening),
        bearing: p.tail.bearing ?? null,
        boardThickness: metres(p.tail.boardMm),
        eyeletBore: metresOrNull(p.tail.eyeletBoreMm),
        postDiameter: metresOrNull(p.tail.postMm),
      },
      at: {
        tail: pointInMetres(p.at.tail),
        bridge: pointInMetres(p.at.bridge),
        pin: pointInMetres(p.at.pin),
      },
    })),
  }
  const wrong = inconsistent(instrument)
  if (wrong) throw new RangeError(`An instrument file: ${wrong}`)
  return instrument
}

/** What is right by itself and wrong together, one sentence with its place; null where all of it agrees. */
function inconsistent(instrument: Instrument): string | null {
  const { positions, coverings } = instrument
  for (const [i, p] of positions.entries()) {
    if (p.number !== i + 1)
      return `at positions.${i}, expected string ${i + 1}, got ${p.number}: strings are numbered from 1 without a gap.`
    if (p.freeLength < p.speakingLength)
      return `at positions.${i}, the free length is shorter than the speaking length, and it can’t be.`
    const board = boardProblem(p)
    if (board) return `at positions.${i}, ${board}`
    const string = cannotBe(p.construction)
    if (string) return `at positions.${i}.string, ${string}`
    if (p.piece > positions.length) return `at positions.${i}.piece, there are no more pieces than strings.`
  }
  for (const [i, { over, under }] of coverings.entries()) {
    const missing = [over, under].find((number) => !positions.some((p) => p.number === number))
    if (missing !== undefined) return `at coverings.${i}, there is no string ${missing}.`
    if (over === under) return `at coverings.${i}, string ${over} can’t lie over itself.`
    if (coverings.findIndex((c) => c.over === over && c.under === under) < i)
      return `at coverings.${i}, that string ${over} lies over ${under} is said already.`
  }
  try {
    for (const p of positions) layersOver(instrument, p)
  } catch (error) {
    return (error as RangeError).message
  }
  return null
}

/** Only what was said. */
function told<T extends object>(some: T): { [K in keyof T]?: NonNullable<T[K]> } {
  return Object.fromEntries(
    Object.entries(some).filter(([, value]) => value !== undefined && value !== null),
  ) as { [K in keyof T]?: NonNullable<T[K]> }
}

function sentenceOf(error: ValidationError, path = ''): string {
  const here = path ? `${path}.${error.property}` : error.property
  const [child] = error.children ?? []
  if (child) return sentenceOf(child, here)
  const constraints = error.constraints ?? {}
  if (constraints.whitelistValidation) return `at ${here}, there is no such field`
  const got = JSON.stringify(error.value) ?? 'nothing'
  const said = validationMessage(error, `at ${here}`)
  return `${said.startsWith('at ') ? said : `at ${here}, ${said}`}, got ${got.length > 80 ? `${got.slice(0, 80)}…` : got}`
}

const mmOrNull = (value: number | null) => (value === null ? null : inMm(value))
const metresOrNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : metres(value)
const pointInMm = ({ x, y }: { x: number; y: number }) => ({ x: inMm(x), y: inMm(y) })
const pointInMetres = ({ x, y }: { x: number; y: number }) => ({ x: metres(x), y: metres(y) })
