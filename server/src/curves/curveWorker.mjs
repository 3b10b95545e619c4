import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

// A worker begins without what lets the server read TypeScript.
register()
const { offItsOwnCurve } = await import('@kobrin/core')
parentPort?.on('message', (histories) =>
  parentPort?.postMessage(histories.map((history) => history && offItsOwnCurve(history))),
)
