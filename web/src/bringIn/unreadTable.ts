export type TableFault = 'empty' | 'oldWorkbook' | 'noText' | 'noWorkbook' | 'tooLarge'

/** Why a file is no list that can be read. */
export class UnreadTable extends Error {
  readonly code: TableFault

  constructor(code: TableFault) {
    super(code)
    this.code = code
  }
}
