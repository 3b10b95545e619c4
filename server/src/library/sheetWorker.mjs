import { parentPort, workerData } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

// A worker begins without what lets the server read TypeScript.
register()
const { judgeSheetText } = await import('./sheetText.ts')
parentPort?.postMessage(judgeSheetText(workerData))
