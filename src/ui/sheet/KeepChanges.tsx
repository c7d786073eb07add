'use client'

interface KeepChangesProps {
  /** How much was typed: what the button says, `3 strings`; null where nothing was. */
  readonly changed: string | null
  /** What can’t be read yet, in a sentence. */
  readonly unread: string | null
  /** Why it was not kept. */
  readonly refused: string | null
  readonly onKeep: () => void
  readonly onPutBack: () => void
}

/** Keeps what was typed into a sheet, or puts it back. */
export function KeepChanges({ changed, unread, refused, onKeep, onPutBack }: KeepChangesProps) {
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button button-main flex-1"
          disabled={changed === null || unread !== null}
          onClick={onKeep}
        >
          {changed === null ? 'Nothing changed' : `Keep ${changed}`}
        </button>
        {changed !== null && (
          <button type="button" className="button" onClick={onPutBack}>
            Put back
          </button>
        )}
      </div>
      {unread !== null && <p className="mt-2 text-sm font-semibold text-ochre">{unread}</p>}
      {refused !== null && (
        <p
          role="alert"
          className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm font-semibold"
        >
          {refused}
        </p>
      )}
    </>
  )
}
