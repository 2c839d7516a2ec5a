/** A file that somebody brought, and how it is called with its folder. */
export interface Brought {
  file: File
  path: string
  /** Whether it lay in a folder: there may be other things in it. */
  isInFolder: boolean
}

const OURS = /\.(json|svg)$/i

/** Files that were chosen; those of a folder know their path. */
export const chosenFiles = (files: FileList | null | undefined): Brought[] =>
  [...(files ?? [])].map((file) => ({ file, path: file.webkitRelativePath || file.name, isInFolder: file.webkitRelativePath !== '' }))

/** Everything that was dropped, whole folders too. */
export async function droppedFiles(data: DataTransfer | null): Promise<Brought[]> {
  // Entries are gone once this turn is over, so all are taken first.
  const entries = [...(data?.items ?? [])].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null)
  if (entries.length === 0) return chosenFiles(data?.files)
  return (await Promise.all(entries.map((entry) => within(entry, false)))).flat()
}

async function within(entry: FileSystemEntry, isInFolder: boolean): Promise<Brought[]> {
  if (entry.isFile) {
    const file = await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject))
    return [{ file, path: entry.fullPath.replace(/^\//, ''), isInFolder }]
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const found: Brought[] = []
  // A folder is told a hundred entries at a time.
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject))
    if (some.length === 0) return found
    for (const one of some) found.push(...(await within(one, true)))
  }
}

/** In folders other files are left alone; a file that was chosen by itself is looked at whatever it is called. */
export const sorted = (brought: Brought[]): { taken: Brought[]; leftAlone: number } => {
  const taken = brought.filter((one) => !one.isInFolder || OURS.test(one.file.name))
  return { taken: [...taken].sort((a, b) => a.path.localeCompare(b.path)), leftAlone: brought.length - taken.length }
}

export const isDrawing = (one: Brought) => /\.svg$/i.test(one.file.name) || one.file.type === 'image/svg+xml'
