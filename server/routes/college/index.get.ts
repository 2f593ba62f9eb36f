import { sendRedirect, setCookie } from 'h3'
import { openApi } from '~~/server/http/api'
import { collegeDoor } from '~~/server/http/college'
import { COLLEGE_STATE, collegeCookie, ownAddress } from '~~/server/http/session'
import { Problem } from '~~/server/services/problem'

/** To the college's own sign-in, or back to the sign-in page where it cannot be reached. */
export default openApi(undefined, async ({ event }) => {
  try {
    const { url, state } = await collegeDoor(`${ownAddress(event)}/college/back`)
    setCookie(event, COLLEGE_STATE, state, collegeCookie)
    await sendRedirect(event, url)
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    await sendRedirect(event, `/sign-in?college=${error.code}`)
  }
})
