/* The short form of `npm run drill`: a server that is killed, told to stop, backed up and restored loses nothing. */
import { drill } from '../../scripts/drill'
import { expect, test } from './support'

test.use({ file: 'drill' })

test('killed in the middle of writes, nothing acknowledged is lost; told to stop it is soon down', async () => {
  const report = await drill(3, undefined, process.env.NAKSHI_E2E_DEMO)
  expect(report.acknowledged).toBeGreaterThan(20)
  expect(report).toMatchObject({ lost: 0, broken: [] })
  expect(report.downMs).toBeLessThan(2000)
})
