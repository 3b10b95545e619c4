import { chromium } from '@playwright/test'
import { BROWSER } from './browser.ts'
const [login = 'kelechi', ...steps] = process.argv.slice(2)
const browser = await chromium.launch(BROWSER.launchOptions)
const page = await (await browser.newContext({ baseURL: 'http://127.0.0.1:4655', viewport: { width: Number(process.env.W ?? 1280), height: Number(process.env.H ?? 800) } })).newPage()
page.on('pageerror', (e) => console.log('ERR', e.message))
page.setDefaultTimeout(8000)
await page.goto('/')
await page.getByLabel('Name').fill(login); await page.getByLabel('Passphrase').fill(`ropewalk ${login}`)
await page.getByRole('button', { name: 'Sign in' }).click()
await page.getByRole('link', { name: 'Walk' }).waitFor()
for (const step of steps) {
  const [verb, ...rest] = step.split(' '); const arg = rest.join(' ')
  if (verb === 'go') await page.goto(arg)
  if (verb === 'pic') await page.screenshot({ path: `/tmp/pics/${arg}.png` })
  if (verb === 'full') await page.screenshot({ path: `/tmp/pics/${arg}.png`, fullPage: true })
  if (verb === 'click') await page.getByText(arg, { exact: true }).first().click()
  if (verb === 'press') await page.keyboard.press(arg)
  if (verb === 'type') await page.keyboard.type(arg)
  if (verb === 'wait') await page.waitForTimeout(Number(arg))
  if (verb === 'css') await page.locator(arg).first().click()
  if (verb === 'print') await page.emulateMedia({ media: 'print' })
}
await browser.close()
