import { demoPassphrase } from '@kobrin/demo'
import type { Page } from '@playwright/test'

/** Signs a keeper in at a page. */
export async function signIn(page: Page): Promise<void> {
  await page.getByLabel('Name').fill('keeper')
  await page.getByLabel('Passphrase').fill(demoPassphrase('keeper'))
  await page.getByRole('button', { name: 'Sign in' }).click()
}
