import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { readSheets } from './readTable.ts'

const NS = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"'
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'

function sheetXml(rows: readonly (readonly string[])[], merged: readonly string[] = []): string {
  const cells = rows.map((row, at) => {
    const texts = row.map((text, column) =>
      text === ''
        ? ''
        : `<c r="${String.fromCodePoint(65 + column)}${at + 1}" t="inlineStr"><is><t>${text}</t></is></c>`,
    )
    return `<row r="${at + 1}">${texts.join('')}</row>`
  })
  const merges = merged.map((ref) => `<mergeCell ref="${ref}"/>`).join('')
  return `<worksheet ${NS}><sheetData>${cells.join('')}</sheetData>${merges && `<mergeCells>${merges}</mergeCells>`}</worksheet>`
}

/** A workbook as programs write it. */
function workbook(sheets: Readonly<Record<string, string>>): Blob {
  const names = Object.keys(sheets)
  const parts: Record<string, Uint8Array> = {
    '[Content_Types].xml': strToU8(
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
    ),
    'xl/workbook.xml': strToU8(
      `<workbook ${NS} xmlns:r="${REL}"><sheets>${names
        .map((name, at) => `<sheet name="${name}" sheetId="${at + 1}" r:id="rId${at + 1}"/>`)
        .join('')}</sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${names
        .map(
          (_, at) =>
            `<Relationship Id="rId${at + 1}" Type="${REL}/worksheet" Target="worksheets/sheet${at + 1}.xml"/>`,
        )
        .join('')}</Relationships>`,
    ),
  }
  names.forEach((name, at) => {
    parts[`xl/worksheets/sheet${at + 1}.xml`] = strToU8(sheets[name] ?? '')
  })
  return new Blob([zipSync(parts)])
}

describe('a workbook', () => {
  const RACKS = sheetXml(
    [
      ['Spring list', '', ''],
      ['Rack', 'Name', 'Weight'],
      ['R1', 'Gaff', '61'],
      ['', 'Orlop', '62'],
      ['R2', 'Bilge', '63'],
    ],
    ['A1:C1', 'A3:A4'],
  )

  it('offers every sheet with something in it', async () => {
    const { sheets } = await readSheets(
      workbook({ Racks: RACKS, Empty: sheetXml([]), Insects: sheetXml([['Name'], ['Zebra A']]) }),
    )
    expect(sheets.map(({ name, filled }) => [name, filled.length])).toEqual([
      ['Racks', 5],
      ['Insects', 2],
    ])
  })

  it('says in each merged cell below another what stands in the first, and a title across it once', async () => {
    const { sheets } = await readSheets(workbook({ Racks: RACKS }))
    expect(sheets[0]?.filled.map(({ cells }) => cells.join('|'))).toEqual([
      'Spring list||',
      'Rack|Name|Weight',
      'R1|Gaff|61',
      'R1|Orlop|62',
      'R2|Bilge|63',
    ])
  })

  it('that would unpack to more than any list is refused before it is unpacked', async () => {
    const packed = zipSync({ 'xl/worksheets/sheet1.xml': strToU8('<worksheet/>') })
    // What its directory says of the size of its first part.
    const directory = packed.findIndex((_, at) => packed[at] === 0x50 && packed[at + 2] === 0x01)
    new DataView(packed.buffer).setUint32(directory + 24, 0x20_00_00_00, true)
    await expect(readSheets(new Blob([packed]))).rejects.toMatchObject({ code: 'tooLarge' })
  })
})
