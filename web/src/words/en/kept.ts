export default {
  mb: '{bytes} MB',
  itStaysUntilIt: 'It stays until it is taken away by hand.',
  theBrowserMayClear: 'The browser may clear it when it runs short.',
  onThisDeviceOf: 'On this device: {told} of {told2}. {stays}',
} as const
