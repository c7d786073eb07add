/** Pictures: kept without their place, thrown away and brought back, gone for good after a month, and in the archive. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { aJpeg } from '@/core/pictures/a-jpeg'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { DAY } from '@/core/units/time'
import { takeArchive } from '../archive/take-archive'
import { streamedArchive, zippedArchive } from '../archive/write-archive'
import { eachOnDemo } from '../demo/each-on-demo'
import { copyInstrument, removeString } from '../instruments/change-strings'
import { instrumentBySlug } from '../instruments/instruments'
import { jobById } from '../jobs/job'
import { openJobs } from '../jobs/open-jobs'
import { openStore, type Store } from '../store/database'
import { keepPicture, pictureBytes, picturesOf, throwPictureAway } from './pictures'

let store: Store
eachOnDemo((opened) => {
  store = opened
})
const keep = (jpeg = aJpeg(), more: { jobId?: number; number?: number } = {}) =>
  keepPicture(store, {
    instrument: 'lovage',
    number: more.number ?? null,
    jobId: more.jobId ?? null,
    kind: 'old knot',
    note: '',
    jpeg,
  })
const lovage = () => instrumentBySlug(store, 'lovage').id
const filesKept = () => store.rows.$client.prepare('SELECT count(*) FROM picture_file').pluck().get()

test('what the camera wrote beside it is not in the file', () => {
  keep(aJpeg({ place: '52.1N 5.3E' }))
  const [kept] = picturesOf(store, lovage())
  expect(Buffer.from(pictureBytes(store, kept!.hash)!)).toEqual(Buffer.from(aJpeg()))
})

test('the same picture twice is one file, and stays while one of them is shown', () => {
  keep()
  const { result: second } = keep()
  expect(filesKept()).toBe(1)
  throwPictureAway(store, second)
  expect(picturesOf(store, lovage())).toHaveLength(1)
})

test('thrown away it can be brought back for thirty days, and then says why it can’t', () => {
  const { result } = keep()
  const away = throwPictureAway(store, result)
  expect(picturesOf(store, lovage())).toHaveLength(0)
  store.undo(away.actionId)
  expect(picturesOf(store, lovage())).toHaveLength(1)

  const again = throwPictureAway(store, result)
  const ago = 31 * DAY
  store.rows.$client.prepare('UPDATE picture_file SET thrown_at = thrown_at - ?').run(ago)
  keep(aJpeg({ scan: 'another' }))
  expect(filesKept()).toBe(1)
  expect(() => store.undo(again.actionId)).toThrow('belongs to something that is gone')
})

test('one that belongs to a job must be on its instrument; what is no picture is refused', () => {
  const elsewhere = openJobs(store).find(({ id }) => jobById(store, id).instrument.slug !== 'lovage')!
  expect(() => keep(aJpeg(), { jobId: elsewhere.id })).toThrow('That job is on another instrument.')
  expect(() => keep(aJpeg(), { jobId: 9999 })).toThrow('There is no job 9999')
  expect(() => keep(new Uint8Array([1, 2, 3]))).toThrow('That is no JPEG picture.')
  expect(picturesOf(store, lovage())).toHaveLength(0)
})

test('a string that is pictured has a history, and is not taken away with it', () => {
  const { slug } = copyInstrument(store, 'lovage', 'Copied')
  keepPicture(store, { instrument: slug, number: 3, jobId: null, kind: 'old knot', note: '', jpeg: aJpeg() })
  expect(() => removeString(store, slug, 3)).toThrow('has a history')
})

test('the archive carries pictures there and back; one under a wrong name, or with more in it, is refused', async () => {
  keep(aJpeg(), { number: 12 })
  const streamed = new Uint8Array(await new Response(streamedArchive(store, true)).arrayBuffer())
  const files = unzipSync(streamed)
  expect(Object.keys(files)).toEqual(Object.keys(unzipSync(zippedArchive(store))))
  const workshop = openStore({ folder: mkdtempSync(path.join(tmpdir(), 'taut-pictures-')) })
  try {
    const name = Object.keys(files).find((one) => one.startsWith('pictures/'))!
    expect(() => takeArchive(workshop, zipSync({ ...files, [name]: strToU8('else') }))).toThrow(
      'holds another picture than its name says',
    )
    takeArchive(workshop, streamed)
    const [kept] = picturesOf(workshop, instrumentBySlug(workshop, 'lovage').id)
    expect(Buffer.from(pictureBytes(workshop, kept!.hash)!)).toEqual(Buffer.from(aJpeg()))
  } finally {
    workshop.close()
  }
  const without = unzipSync(new Uint8Array(await new Response(streamedArchive(store, false)).arrayBuffer()))
  expect(Object.keys(without).filter((name) => name.includes('picture'))).toEqual([])
})
