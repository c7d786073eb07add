/** The bytes of a file in base64, as requests carry them. */
export async function base64Of(file: Blob): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error('the file can’t be read'))
    reader.readAsDataURL(file)
  })
  return url.slice(url.indexOf(',') + 1)
}
