/** Every error the server can answer with. Codes are permanent; sentences are for keepers. */
export const ERRORS = {
  bad_input: { status: 400, message: 'Something in what was sent could not be read.' },
  not_signed_in: { status: 401, message: 'Please sign in first.' },
  wrong_passphrase: { status: 401, message: 'That name and passphrase do not belong together.' },
  wrong_pin: { status: 401, message: 'That PIN is not right.' },
  not_your_passphrase: { status: 409, message: 'That is not your passphrase.' },
  wrong_code: { status: 403, message: 'That code is not the one that was given out, or it is used up.' },
  login_taken: { status: 409, message: 'Somebody here signs in with that name already.' },
  last_curator: {
    status: 409,
    message: 'Somebody has to answer for this house, and this is its last curator.',
  },
  own_role: { status: 409, message: 'Nobody takes their own role away: another curator can.' },
  unknown_person: { status: 404, message: 'Nobody here is known by that.' },
  no_such_place: { status: 404, message: 'That room or bay is not there, or not any more.' },
  name_taken: { status: 409, message: 'There is one of that name already.' },
  still_lived_in: { status: 409, message: 'Somebody lives in a box that would go. Move them out first.' },
  wider_than_shelf: { status: 409, message: 'The boxes on a shelf are wider together than the shelf is.' },
  changed_meanwhile: { status: 409, message: 'Somebody else changed this while you did.' },
  not_empty: { status: 409, message: 'Something stands there, or stood there before: it stays on record.' },
  set_up_already: { status: 409, message: 'This house is set up. Sign in instead.' },
  device_not_enrolled: {
    status: 403,
    message: 'This tablet has not been set up for switching by PIN. A senior keeper can do that.',
  },
  passphrase_needed: {
    status: 403,
    message: 'After so many wrong PINs a passphrase is needed here once. Sign in with yours below.',
  },
  not_allowed: { status: 403, message: 'Your role does not allow this.' },
  wrong_host: { status: 421, message: 'This address is not one that Kobrin answers to.' },
  unreadable_type: { status: 415, message: 'What was sent is not of a kind that can be read here.' },
  not_satisfiable: { status: 416, message: 'That part is not there.' },
  not_as_expected: { status: 412, message: 'What is here is not what was expected.' },
  wrong_method: { status: 405, message: 'That cannot be done here.' },
  busy: {
    status: 503,
    message: 'Too much at once just now. What you entered is kept here and will be sent.',
  },
  wrong_origin: { status: 403, message: 'This request came from another site and was not carried out.' },
  no_photo: {
    status: 400,
    message: 'That is no picture that can be read here: take it as JPEG, PNG or WebP.',
  },
  not_found: { status: 404, message: 'There is nothing here.' },
  unknown_resident: { status: 404, message: 'No such resident is on record.' },
  before_it_happened: { status: 409, message: 'It is written down before it happened.' },
  number_taken: { status: 409, message: 'Somebody here has that number already.' },
  about_itself: { status: 409, message: 'Nobody is its own parent, companion or colony.' },
  unknown_subject: { status: 404, message: 'What this is about is not on record.' },
  known_subject: { status: 409, message: 'This is on record already.' },
  wrong_family: { status: 409, message: 'Nothing of the kind can be said about this.' },
  other_content: {
    status: 409,
    message: 'Something else is on record under the same identity, so this was not kept.',
  },
  act_incomplete: {
    status: 409,
    message: 'Another part of the same doing could not be kept, so none of it was.',
  },
  part_of_act: {
    status: 409,
    message: 'This is part of something that can only be taken back as a whole.',
  },
  unknown_target: { status: 409, message: 'The entry this refers to is not on record for this subject.' },
  not_correctable: {
    status: 409,
    message: 'A correction cannot be corrected; take it back or correct the original.',
  },
  wrong_kind: { status: 409, message: 'A correction must say the same kind of thing as the original.' },
  unknown_place: { status: 409, message: 'No such enclosure is on record.' },
  in_future: {
    status: 409,
    message:
      'This is dated later than the clock of the server. One of the two clocks is wrong; a senior keeper can look.',
  },
  not_yours: {
    status: 403,
    message: 'This was entered under the name of somebody else, and nothing shows that they were at work.',
  },
  unknown_sheet: { status: 404, message: 'No such care sheet is in the library.' },
  unknown_stage: { status: 409, message: 'That stage is not on the care sheet.' },
  unknown_school: { status: 409, message: 'That school or option is not on the care sheet.' },
  unknown_override: { status: 409, message: 'That change to the plan is not on record.' },
  unreadable_plan: {
    status: 409,
    message: 'With that change the plan could not be worked out, so it was not made.',
  },
  ceiling_below_target: {
    status: 409,
    message:
      'With that change what is wanted would reach what harms (never above, never below), or a range would run backwards.',
  },
  too_many: { status: 429, message: 'Too many tries. Wait a minute and try again.' },
  too_large: { status: 413, message: 'That is too much to send at once.' },
  database_away: {
    status: 503,
    message: 'The record cannot be reached just now. What you entered is kept here and will be sent.',
  },
  disk_full: {
    status: 503,
    message:
      'The disk of the server is full. What you enter is kept here and will be sent when there is room.',
  },
  internal: {
    status: 500,
    message: 'Something went wrong on the server. What you entered is kept here and will be sent again.',
  },
} as const

export type ErrorCode = keyof typeof ERRORS
