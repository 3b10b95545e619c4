import { chromium } from '@playwright/test'
import { BROWSER } from './browser.ts'
const base = 'http://127.0.0.1:4655'
const [login = 'kelechi', ...steps] = process.argv.slice(2)
const browser = await chromium.launch(BROWSER.launchOptions)
const page = await (
  await browser.newContext({
    viewport: { width: Number(process.env.W ?? 1280), height: Number(process.env.H ?? 800) },
  })
).newPage()
page.on('pageerror', (e) => console.log('ERR', e.message))
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()))
await page.goto(base)
await page.getByLabel('Name').fill(login)
await page.getByLabel('Passphrase').fill(`ropewalk ${login}`)
await page.getByRole('button', { name: 'Sign in' }).click()
await page.locator('header.top').waitFor()
for (const step of steps) {
  const [verb, ...rest] = step.split(' ')
  const arg = rest.join(' ')
  if (verb === 'go') {
    await page.goto(base + arg)
    await page.waitForTimeout(900)
  } else if (verb === 'find') {
    await page.keyboard.press('/')
    await page.getByRole('combobox').fill(arg)
    await page.waitForTimeout(300)
    await page.keyboard.press('Enter')
    await page.waitForTimeout(900)
  } else if (verb === 'click') {
    await page.locator(arg).first().click()
    await page.waitForTimeout(600)
  } else if (verb === 'link') {
    await page.getByRole('link', { name: arg }).first().click()
    await page.waitForTimeout(900)
  } else if (verb === 'fill') {
    const [sel, v] = arg.split('=')
    await page.getByLabel(sel!).first().fill(v!)
  } else if (verb === 'select') {
    const [sel, v] = arg.split('=')
    await page
      .getByLabel(sel!)
      .first()
      .selectOption({ index: Number(v) })
    await page.waitForTimeout(500)
  } else if (verb === 'button') {
    await page.getByRole('button', { name: arg }).first().click()
    await page.waitForTimeout(900)
  } else if (verb === 'scroll') {
    await page.locator('.reading').evaluate((e, y) => e.scrollTo(0, y), Number(arg))
    await page.waitForTimeout(200)
  } else if (verb === 'pic') await page.screenshot({ path: `/tmp/pics/${arg}.png` })
}
await browser.close()
