import { config, locales } from 'zod/mini'

// The readers of shapes bring no words of their own: pages find theirs, everybody else says it in English.
config(locales.en())
