/** What a reading can be typed into. */
export type TextField = HTMLInputElement | HTMLTextAreaElement

const NOT_TYPED_IN = new Set(['range', 'checkbox', 'radio', 'file', 'button', 'submit'])

/** Whether something can be typed in. */
export function isTextField(node: EventTarget | null): node is TextField {
  if (node instanceof HTMLTextAreaElement) return !node.readOnly && !node.disabled
  return node instanceof HTMLInputElement && !NOT_TYPED_IN.has(node.type) && !node.readOnly && !node.disabled
}
