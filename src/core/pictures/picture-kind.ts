/** What a picture that is kept with an instrument shows. */
export const PICTURE_KINDS = ['old knot', 'winding beside it', 'the instrument', 'other'] as const
export type PictureKind = (typeof PICTURE_KINDS)[number]
