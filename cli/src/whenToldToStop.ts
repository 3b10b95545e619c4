/** Waits for anyone who started this to end it. */
export function whenToldToStop(): Promise<void> {
  return new Promise((resolve) => {
    // Pressed again while things are put away, it changes nothing.
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve())
  })
}
