import type { QuantityKey } from '@/core/measuring/quantity'
import { Dimension, Label, PART, Sheet, STRING, WOOD } from './step/sheet'

/** From where to where a thing is measured, on one string seen from the side. */
export function MeasureDrawing({ of, text }: { readonly of: QuantityKey; readonly text: string }) {
  const [kind] = of.split(' ')
  return (
    <Sheet title={`What is measured: ${text}`}>
      <rect x={30} y={178} width={260} height={16} {...WOOD} />
      <rect x={30} y={14} width={260} height={34} {...WOOD} />
      <path d="M150,202V60L162,31" {...STRING} />
      <circle cx={150} cy={204} r={6} {...PART} />
      <circle cx={144} cy={60} r={4} {...PART} />
      <circle cx={170} cy={31} r={10} {...PART} />
      <path d="M162,31a8,8 0 1 1 8,8" {...STRING} />
      {kind === 'speaking' && <Dimension from={[196, 60]} to={[196, 178]} text={text} />}
      {kind === 'beyond' && (
        <>
          <Dimension from={[196, 31]} to={[196, 60]} text="this" />
          <Dimension from={[196, 178]} to={[196, 204]} text="and this" />
        </>
      )}
      {kind === 'pin' && <Dimension from={[160, 10]} to={[180, 10]} text={text} beside={-14} />}
      {kind === 'board' && <Dimension from={[196, 178]} to={[196, 194]} text={text} />}
      {kind === 'gauge' && <Dimension from={[146, 120]} to={[154, 120]} text={text} />}
      <Label at={[112, 31]} to={[160, 31]} end>
        tuning pin
      </Label>
      <Label at={[112, 74]} to={[141, 61]} end>
        bridge pin
      </Label>
      <Label at={[112, 222]} to={[144, 206]} end>
        end knot
      </Label>
    </Sheet>
  )
}
