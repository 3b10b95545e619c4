/** Days from today, and names as sentences need them. */
export interface Teller {
  today: number
  /** Name of a person by id. */
  who: (personId: string) => string
  clock: (iso: string) => string
  /** Name of a resident by id. */
  resident: (residentId: string) => string
  /** "Royal python, Adult" */
  stage: (sheet: string, stage: string) => string
  /** "Damp hide (Moist floor, or dry floor with a damp hide?)" */
  school: (sheet: string, school: string, option: string) => string
  /** "Adult", in the sheet of a resident. */
  stageOf: (residentId: string, stage: string) => string
  /** "Damp hide (Moist floor, or dry floor with a damp hide?)", in the sheet of a resident. */
  schoolOf: (residentId: string, school: string, option: string) => string
}
