import { sendRedirect, setCookie } from 'h3'
import { openApi } from '~~/server/http/api'
import { collegeDoor } from '~~/server/http/college'
import { COLLEGE_STATE, collegeCookie, ownAddress } from '~~/server/http/session'

/** To the college's own sign-in. */
export default openApi(undefined, async ({ event }) => {
  const { url, state } = await collegeDoor(`${ownAddress(event)}/college/back`)
  setCookie(event, COLLEGE_STATE, state, collegeCookie)
  await sendRedirect(event, url)
})
