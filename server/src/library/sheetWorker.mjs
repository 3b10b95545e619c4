import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

// A worker begins without what lets the server read TypeScript.
register()
const { judgeSheetText } = await import('./sheetText.ts')
parentPort?.once('message', (text) => parentPort?.postMessage(judgeSheetText(text)))
parentPort?.postMessage('ready')
