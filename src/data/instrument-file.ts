/**
 * An instrument as an open file: JSON, lengths in millimetres. Reading checks every field and says what is wrong.
 */
import 'reflect-metadata'
import { Type, plainToInstance } from 'class-transformer'
import {
  IsArray, IsIn, IsInt, IsNotEmpty, IsNumber, IsObject, IsOptional, IsPositive, IsString, Matches, Max, Min, ValidateNested, validateSync,
  type ValidationError,
} from 'class-validator'
import { FAMILIES, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { HEAD_FASTENINGS, TAIL_FASTENINGS } from '@/core/knots/fastenings'
import { parseNote, scientificWord } from '@/core/pitch/note'
import { MATERIALS } from '@/core/strings/materials'
import { PIN_SETTINGS, type PinSetting } from '@/core/winding/pin'
import { constructionColumns, constructionFrom, type ConstructionColumns } from './construction-columns'
import { inMm, metres } from './millimetres'

class ConstructionFile implements ConstructionColumns {
  @IsIn(MATERIALS) material!: ConstructionColumns['material']
  @IsPositive() @Max(12) gaugeMm!: number
  @IsOptional() @IsPositive() @Max(6) coreMm!: number | null
  @IsOptional() @IsIn(MATERIALS) beddingMaterial!: ConstructionColumns['beddingMaterial']
  @IsOptional() @IsPositive() @Max(2) beddingMm!: number | null
  @IsOptional() @IsIn(MATERIALS) wrapMaterial!: ConstructionColumns['wrapMaterial']
  @IsOptional() @IsPositive() @Max(4) wrapMm!: number | null
}

class PinFile {
  /** Left out in older files: a threaded pin stands upright, any other goes through the neck. */
  @IsOptional() @IsIn(PIN_SETTINGS) setting?: PinSetting
  @IsPositive() @Max(30) diameterMm!: number
  @IsPositive() @Max(60) gearRatio!: number
  @IsIn(['clockwise', 'anticlockwise']) tightens!: 'clockwise' | 'anticlockwise'
  @IsOptional() @IsPositive() threadMm!: number | null
  @IsPositive() heightMm!: number
  @IsIn(['top of pin', 'string hole']) heightDatum!: 'top of pin' | 'string hole'
  @Min(0) holeToEndMm!: number
  @Min(0) bridgeHeightMm!: number
  @IsPositive() toBridgeMm!: number
}

class TailFile {
  @IsIn(TAIL_FASTENINGS) fastening!: StringPosition['tail']['fastening']
  @Min(0) boardMm!: number
  @IsOptional() @IsPositive() eyeletBoreMm!: number | null
  @IsOptional() @IsPositive() postMm!: number | null
}

class PointFile {
  @IsNumber() x!: number
  @IsNumber() y!: number
}

class PlaceFile {
  @ValidateNested() @Type(() => PointFile) tail!: PointFile
  @ValidateNested() @Type(() => PointFile) bridge!: PointFile
  @ValidateNested() @Type(() => PointFile) pin!: PointFile
}

class PositionFile {
  @IsInt() @Min(1) number!: number
  @IsOptional() @IsString() makerLabel!: string | null
  @IsOptional() @IsString() askedMake!: string | null
  @Matches(/^[A-G](-flat |-sharp )?-?\d$/) note!: string
  @IsIn(['red', 'black', 'blue', 'natural']) colour!: StringPosition['colour']
  @IsObject() @ValidateNested() @Type(() => ConstructionFile) string!: ConstructionFile
  @IsPositive() @Max(3000) speakingMm!: number
  @IsPositive() @Max(4000) freeMm!: number
  @IsOptional() @IsIn(['lever', 'disc']) mechanism!: StringPosition['mechanism']
  @IsInt() @Min(1) piece!: number
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
  @Matches(/^[a-z][a-z0-9-]*$/) slug!: string
  @IsNotEmpty() name!: string
  @IsIn(FAMILIES) family!: Instrument['family']
  @IsString() maker!: string
  @IsString() model!: string
  @IsString() owner!: string
  @IsIn(['concert', 'lever', 'folk', 'wire']) tensionClass!: Instrument['tensionClass']
  @IsNotEmpty() restTuning!: string
  @IsNumber() @Min(300) @Max(500) referenceA!: number
  @IsNotEmpty() lies!: string
  @IsArray() @ValidateNested({ each: true }) @Type(() => PositionFile) positions!: PositionFile[]
  @IsArray() @ValidateNested({ each: true }) @Type(() => CoveringFile) coverings!: CoveringFile[]
}

/** An instrument as the plain object that goes into the file. */
export function toInstrumentFile({ positions, ...about }: Instrument): InstrumentFile {
  return {
    ...about,
    coverings: about.coverings.map((c) => ({ ...c })),
    positions: positions.map((p) => ({
      number: p.number, makerLabel: p.makerLabel, askedMake: p.askedMake, note: scientificWord(p.note), colour: p.colour, string: constructionColumns(p.construction),
      speakingMm: inMm(p.speakingLength), freeMm: inMm(p.freeLength), mechanism: p.mechanism, piece: p.piece, headFastening: p.head.fastening,
      pin: {
        setting: p.head.pin.setting, diameterMm: inMm(p.head.pin.diameter), gearRatio: p.head.pin.gearRatio, tightens: p.head.pin.tightens,
        threadMm: mmOrNull(p.head.pin.threadPitch), heightMm: inMm(p.head.pin.height), heightDatum: p.head.pin.heightDatum,
        holeToEndMm: inMm(p.head.pin.holeToEnd), bridgeHeightMm: inMm(p.head.pin.bridgeHeight), toBridgeMm: inMm(p.head.pin.toBridge),
      },
      tail: {
        fastening: p.tail.fastening, boardMm: inMm(p.tail.boardThickness), eyeletBoreMm: mmOrNull(p.tail.eyeletBore), postMm: mmOrNull(p.tail.postDiameter),
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
  const file = plainToInstance(InstrumentFile, json)
  const errors = typeof json === 'object' && json !== null && !Array.isArray(json) ? validateSync(file) : null
  if (errors === null) throw new RangeError('An instrument file: expected a JSON object with the instrument’s positions.')
  if (errors[0]) throw new RangeError(`An instrument file: ${sentenceOf(errors[0])}.`)
  const { positions, ...about } = file
  return {
    ...about,
    coverings: about.coverings.map(({ over, under }) => ({ over, under })).sort((a, b) => a.over - b.over || a.under - b.under),
    positions: positions.map((p): StringPosition => ({
      number: p.number, makerLabel: p.makerLabel ?? null, askedMake: p.askedMake ?? null, note: parseNote(p.note), colour: p.colour, construction: constructionFrom(p.string),
      speakingLength: metres(p.speakingMm), freeLength: metres(p.freeMm), mechanism: p.mechanism ?? null, piece: p.piece,
      head: {
        fastening: p.headFastening,
        pin: {
          setting: p.pin.setting ?? (p.pin.threadMm ? 'upright' : 'through the neck'), diameter: metres(p.pin.diameterMm), gearRatio: p.pin.gearRatio, tightens: p.pin.tightens, threadPitch: metresOrNull(p.pin.threadMm),
          height: metres(p.pin.heightMm), heightDatum: p.pin.heightDatum, holeToEnd: metres(p.pin.holeToEndMm),
          bridgeHeight: metres(p.pin.bridgeHeightMm), toBridge: metres(p.pin.toBridgeMm),
        },
      },
      tail: {
        fastening: p.tail.fastening, boardThickness: metres(p.tail.boardMm), eyeletBore: metresOrNull(p.tail.eyeletBoreMm), postDiameter: metresOrNull(p.tail.postMm),
      },
      at: { tail: pointInMetres(p.at.tail), bridge: pointInMetres(p.at.bridge), pin: pointInMetres(p.at.pin) },
    })),
  }
}

function sentenceOf(error: ValidationError, path = ''): string {
  const here = path ? `${path}.${error.property}` : error.property
  const [child] = error.children ?? []
  return child ? sentenceOf(child, here) : `at ${here}, ${Object.values(error.constraints ?? {})[0] ?? 'the value is not right'}, got ${JSON.stringify(error.value)}`
}

const mmOrNull = (value: number | null) => (value === null ? null : inMm(value))
const metresOrNull = (value: number | null | undefined) => (value === null || value === undefined ? null : metres(value))
const pointInMm = ({ x, y }: { x: number; y: number }) => ({ x: inMm(x), y: inMm(y) })
const pointInMetres = ({ x, y }: { x: number; y: number }) => ({ x: metres(x), y: metres(y) })
