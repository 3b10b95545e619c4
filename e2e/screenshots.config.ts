import { defineConfig } from '@playwright/test'
import tests from './playwright.config.ts'

/** Takes the pictures of the README from the demonstration. */
export default defineConfig({ ...tests, testMatch: 'screenshots.ts' })
