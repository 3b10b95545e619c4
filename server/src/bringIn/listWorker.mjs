import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

// A worker begins without what lets the server read TypeScript.
register()
const { workOn } = await import('./workOn.ts')
parentPort?.on('message', (work) => workOn(work, (told) => parentPort?.postMessage(told)))
