import '@kobrin/contract/english'

export type FaultCode =
  | 'database_unreachable'
  | 'database_damaged'
  | 'database_missing'
  | 'already_running'
  | 'another_house'
  | 'backup_failed'
  | 'backup_damaged'
  | 'not_empty'
  | 'nothing_there'
  | 'export_damaged'
  | 'port_busy'
  | 'bad_setting'
  | 'clock_wrong'
  | 'not_built'
  | 'bad_sheet'

/** Something an operator has to mend before Kobrin can run: one sentence that says what to do. */
export class KobrinFault extends Error {
  readonly code: FaultCode

  constructor(code: FaultCode, message: string, options?: ErrorOptions) {
    super(message, options)
    this.name = 'KobrinFault'
    this.code = code
  }
}
