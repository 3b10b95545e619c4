/** What a spreadsheet would take for a formula, also where it has several lines. */
export const FORMULA = /^[=+\-@\t\r]/
