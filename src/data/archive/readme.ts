/** Goes into every archive, so that whoever opens it in ten years can read it without the program. */
export const ARCHIVE_README = `# A house of Taut Pinset

Everything that this house keeps, in open files. UTF-8 throughout.

- \`house.json\`: what wrote this, when (UTC), the house's name, and the key that tells houses apart.
- \`instruments/<address>.json\`: each instrument whole, lengths in millimetres. One of these can be taken in by itself under
  *Instruments, New*. Its JSON Schema is docs/instrument.schema.json of the program.
- \`tables/<name>.csv\`: every table. Cells are separated by commas and quoted as in RFC 4180; the first line names the
  columns, with their unit in brackets where they have one. Times are in UTC. An empty cell has no value. A text that a
  spreadsheet could take for a formula, that begins with an apostrophe or is empty, has an apostrophe in front.
  \`id\` numbers the rows of a table; \`job_id\`, \`coil_id\` and the like name a row of another table. Numbers are never given twice.
- \`history.csv\`: what was done, by whom, for reading.
- \`pictures/<hash>.jpg\`: pictures, named by the SHA-256 of their bytes; \`tables/picture.csv\` says what each shows. They
  carry no place, no time and no camera.

Taken in again under *House, Archive*: into an empty house as it is; into the house that wrote it, row by row (rows that
are new are added, rows that differ are changed, nothing is taken away); into another house, its instruments with their notes, habits and pictures. What
will be done is shown first, and is one action that can be undone.
`
