/** Says that rows of the house can't be read; nothing where all can. */
export function LeftOut({ rows }: { readonly rows: number }) {
  if (rows === 0) return null
  return (
    <p role="status" className="bg-ochre-wash px-4 py-2 text-center text-sm print:hidden">
      <strong>
        {rows === 1
          ? 'One row of this house can’t be read.'
          : `${rows} rows of this house can’t be read, or belong to one that can’t.`}
      </strong>{' '}
      {rows === 1 ? 'It is' : 'They are'} left out, and left as {rows === 1 ? 'it is' : 'they are'} in the
      file. <code>bin/doctor</code> tells which.
    </p>
  )
}
