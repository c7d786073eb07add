export default function Loading() {
  return <div className="sheet p-6 text-soft" role="status">Laying out the sheet…</div>
}
