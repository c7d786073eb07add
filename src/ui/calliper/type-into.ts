import type { TextField } from './text-field'

/**
 * Types into a field as a keyboard would, key by key; callipers with a data cable do just that. Replaces what stands in the field, presses Enter, and so does whatever Enter does there: the next row of a table, the
 * form sent off.
 *
 * @param field - receives the focus
 * @param text - the reading
 */
export function typeInto(field: TextField, text: string): void {
  field.focus()
  field.select()
  for (const key of text) {
    if (!press(field, key)) continue
    field.setRangeText(key, field.selectionStart ?? 0, field.selectionEnd ?? field.value.length, 'end')
    field.dispatchEvent(new InputEvent('input', { bubbles: true, data: key, inputType: 'insertText' }))
  }
  if (press(field, 'Enter') && field instanceof HTMLInputElement) field.form?.requestSubmit()
}

/** False when the page took the key for something of its own. */
function press(field: TextField, key: string): boolean {
  return field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
}
