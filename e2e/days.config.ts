import { defineConfig } from '@playwright/test'
import tests from './playwright.config.ts'

const { globalSetup: _oneHouse, ...shared } = tests

/** Drives the walk over a spread of days, each in a house of its own, and judges lives nobody has seen before. */
export default defineConfig({
  ...shared,
  testMatch: ['days.ts', 'houses.ts', 'rounds.ts'],
  workers: 2,
  fullyParallel: true,
})
