import { deleteCookie, getCookie, sendRedirect } from 'h3'
import { openApi } from '~~/server/http/api'
import { numberFromCollege } from '~~/server/http/college'
import { COLLEGE_STATE, collegeCookie, enter, ownAddress } from '~~/server/http/session'
import { Problem } from '~~/server/services/problem'
import { signInByCollege } from '~~/server/services/sign-in'

/** Back from the college: whoever it has signed in has a session here, or reads why not on the sign-in page. */
export default openApi(undefined, async ({ context, event }) => {
  const state = getCookie(event, COLLEGE_STATE)
  deleteCookie(event, COLLEGE_STATE, collegeCookie)
  try {
    const number = await numberFromCollege(new URL(event.path, ownAddress(event)), state)
    enter(event, context, signInByCollege(context, number))
    await sendRedirect(event, '/')
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    await sendRedirect(event, `/sign-in?college=${error.code}`)
  }
})
