/**
 * Types into a field as a keyboard would: key by key, then Enter. Callipers with a data cable do just that.
 */
export type TextField = HTMLInputElement | HTMLTextAreaElement

const NOT_TYPED_IN = new Set(['range', 'checkbox', 'radio', 'file', 'button', 'submit'])

/** Whether something can be typed in. */
export function isTextField(node: EventTarget | null): node is TextField {
  if (node instanceof HTMLTextAreaElement) return !node.readOnly && !node.disabled
  return node instanceof HTMLInputElement && !NOT_TYPED_IN.has(node.type) && !node.readOnly && !node.disabled
}

/**
 * Replaces what stands in the field, presses Enter, and so does whatever Enter does there: the next row of a table, the
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
