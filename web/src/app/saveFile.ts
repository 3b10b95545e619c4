/** Hands something to the person here as a file. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
