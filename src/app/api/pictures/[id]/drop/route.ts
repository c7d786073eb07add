import { Nothing } from '@/boundary/handle'
import { throwPictureAway } from '@/data/pictures/pictures'
import { store } from '@/data/store/database'
import { byId } from '../../../by-id'

/** Throws a picture away. */
export const POST = byId('picture', Nothing, (id) => throwPictureAway(store(), id))
