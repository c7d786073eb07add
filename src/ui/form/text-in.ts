/** What stands in a field of a form, trimmed; empty where the form has none of that name. */
export function textIn(form: FormData, name: string): string {
  const value = form.get(name)
  return typeof value === 'string' ? value.trim() : ''
}
