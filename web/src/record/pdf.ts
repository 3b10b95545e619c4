import pdfMake from 'pdfmake/build/pdfmake.js'
import fonts from 'pdfmake/build/vfs_fonts.js'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'

pdfMake.addVirtualFileSystem(fonts)

export function pdfOf(document: TDocumentDefinitions): Promise<Blob> {
  return pdfMake.createPdf(document).getBlob()
}
