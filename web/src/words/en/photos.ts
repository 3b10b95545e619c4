export default {
  photo: 'Photo',
  choosePhoto: 'Take or choose a photo',
  addPhoto: 'Add a photo',
  sending: 'Sending the photo …',
  withoutIt: 'Without it',
  chosen: 'The photo that was chosen',
  photos: 'Photos',
  taken: '{name}, {date}',
  of: 'Photo of {name}, {date}',
  notSent: '{why} Keep it without a photo, and add one later on its page.',
  added: '{name}: a photo',
  tooLarge: 'It is larger than {most} MB: take it smaller.',
} as const
