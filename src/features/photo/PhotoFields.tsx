import { Entry } from '@/ui/form/Entry'
import { useWorkshop } from '@/ui/units'
import { RULER, SCALE_NAMES, type ScaleName } from './scales'

interface PhotoFieldsProps {
  readonly hasPicture: boolean
  readonly scale: ScaleName
  /** As typed. */
  readonly ruler: string
  readonly keepsPicture: boolean
  readonly zoom: number
  readonly onChoose: (file: File | undefined) => void
  readonly onScale: (name: ScaleName) => void
  readonly onRuler: (text: string) => void
  readonly onKeepsPicture: (keeps: boolean) => void
  readonly onZoom: (zoom: number) => void
}

/** Which picture, what tells the size of things in it, and how it is shown. */
export function PhotoFields({
  hasPicture,
  scale,
  ruler,
  keepsPicture,
  zoom,
  onChoose,
  onScale,
  onRuler,
  onKeepsPicture,
  onZoom,
}: PhotoFieldsProps) {
  const { unit } = useWorkshop()
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <label className="min-w-56 flex-1">
        <span className="block font-semibold">Picture</span>
        <input
          type="file"
          accept="image/*"
          className="entry mt-1"
          onChange={(event) => onChoose(event.target.files?.[0])}
        />
      </label>
      <label>
        <span className="block font-semibold">Size told by</span>
        <select
          className="entry mt-1"
          value={scale}
          onChange={(event) => onScale(event.target.value as ScaleName)}
        >
          {SCALE_NAMES.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </label>
      {scale === RULER && (
        <div className="w-40">
          <Entry
            label={`From end to end, ${unit}`}
            inputMode="decimal"
            value={ruler}
            onChange={(event) => onRuler(event.target.value)}
          />
        </div>
      )}
      {hasPicture && (
        <label className="flex min-h-10 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-verdigris"
            checked={keepsPicture}
            onChange={(event) => onKeepsPicture(event.target.checked)}
          />
          keep the picture too
        </label>
      )}
      {hasPicture && (
        <label>
          <span className="block font-semibold">Shown</span>
          <select
            className="entry mt-1"
            value={zoom}
            onChange={(event) => onZoom(Number(event.target.value))}
          >
            <option value={1}>whole</option>
            <option value={2}>twice</option>
            <option value={4}>four times</option>
            <option value={8}>eight times</option>
          </select>
        </label>
      )}
    </div>
  )
}
