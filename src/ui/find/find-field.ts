/** The id of the field that takes a string's name, by which a key finds it. */
export const FIND_FIELD = 'find-a-string'
