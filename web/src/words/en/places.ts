export default {
  itIsCleaned: 'It is cleaned',
  oldFloorKeptAt: 'Old floor kept at',
  floorIsKept: 'Floor is kept',
  cleaned: '{name}: cleaned',
  oldFloorKept: '{name}: old floor kept',
} as const
