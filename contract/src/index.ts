export { BackupState } from './backup/routes.ts'
export { BringIn, BroughtIn, BroughtList, TakenBack } from './bringIn/routes.ts'
export { CurvesState } from './curves/routes.ts'
export { EntryBatch } from './entries/entryBatch.ts'
export { REVISION_HEADER } from './entries/revision.ts'
export { BatchAnswer, EntryEnvelope, KeptEntries, KeptEntry, Receipt } from './entries/posting.ts'
export { Proof, provenText } from './entries/proof.ts'
export type { ErrorCode } from './errors/catalogue.ts'
export { ERRORS } from './errors/catalogue.ts'
export { Problem } from './errors/problem.ts'
export type { Bookmark, Placed } from './feed/bookmark.ts'
export { advanced, furthest, isBehind, isPast, readBookmark, sayBookmark } from './feed/bookmark.ts'
export {
  KeepSheet,
  LibrarySheet,
  SheetAnswer,
  SheetFault,
  SheetSchools,
  SheetSummary,
  SheetVersion,
} from './library/library.ts'
export { may } from './people/roles.ts'
export { DeviceLine, EnrolDevice, Me, Person, Shift, SignIn, SwitchPerson, Units } from './people/session.ts'
export { ChoosePassphrase, ChoosePin, GivenCode, KeepPerson, StaffLine, UseCode } from './people/staff.ts'
export {
  Change,
  ChangeWhat,
  ChooseSchool,
  EndOverride,
  PersonChange,
  PlaceChange,
  SignOverride,
} from './plans/plans.ts'
export { EVERY_ROUTE, OFFICE_ROUTES } from './everyRoute.ts'
export type { Answer, Asked, Given, Route } from './route.ts'
export { addressOf } from './route.ts'
export { OPENAPI_URL, ROUTES } from './routes.ts'
export { SetUp } from './setup/setUp.ts'
export type { House } from './site/houseRoutes.ts'
export { KeepHouse } from './site/houseRoutes.ts'
export type { Heard } from './balance/routes.ts'
export { writtenNumber, YEAR } from './site/writtenNumber.ts'
export { KeepBay, KeepRoom, NewBay, PastBay } from './site/layout.ts'
export { KeepEnclosure } from './site/keepEnclosure.ts'
export { PHOTO_BYTES, PHOTO_ROUTES } from './photos/routes.ts'
export { FORMULA } from './takeOut/spreadsheet.ts'
export { Bay, Enclosure, PlanBook, Room, Site } from './site/site.ts'
export type { SeedPerson, SiteSeed } from './site/siteSeed.ts'
