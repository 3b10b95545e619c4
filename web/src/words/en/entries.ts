export default {
  onItsWay: 'On its way',
  entriesWaitOnThis:
    '{count} entry waits on this device and goes out as soon as the server answers. You can go on working, close the page, or run out of battery. | {count} entries wait on this device and go out in order as soon as the server answers. You can go on working, close the page, or run out of battery.',
  everythingEnteredHereHas: 'Everything entered here has been kept.',
  thisDeviceCannotStore:
    'This device cannot store what you enter: its storage is full or shut. {count} entry is only in this page. Leave it open until everything is sent. | This device cannot store what you enter: its storage is full or shut. {count} entries are only in this page. Leave it open until everything is sent.',
  thereIsNoLink:
    'There is no link to the server just now; what others enter is not shown until it is back. The walk, the plans and what was opened here lately stand as they were then.',
  couldNotBeKept: 'Could not be kept',
  tryAgain: 'Try again',
  iHaveDealtWith: 'I have dealt with it',
  itIsInNo: 'It is in no record and is gone with this.',
  goneWithIt: 'Gone with it',
  leaveItHere: 'Leave it here',
  takenBack: 'Taken back.',
  takenBack2: 'Taken back: {says}',
} as const
