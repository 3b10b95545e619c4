import { config } from 'zod/mini'

// The page's policy lets nothing be compiled: no reader of shapes is to try, and be noted for it. Comes before them.
config({ jitless: true })
