import { PAGE_FILES } from '#page-files'
import type { H3Event } from 'h3'
import { contextOf } from '../http/api'
import { log } from '../http/log'
import { sittingHere } from '../http/session'
import { may } from '../services/access'

const STAFF = /^\/staff\//
const PAGES = PAGE_FILES.map((page) => ({ ...page, pattern: new RegExp(page.pattern) }))

const SIGN_IN = '/sign-in'

/** Links to all that the page at this address needs and whoever asks may have. */
function linksFor(event: H3Event): string {
  const actor = sittingHere(event, contextOf(event))?.person
  // Whoever is not signed in is sent there; a page that is open to strangers finds its few files by itself.
  const path = actor ? event.path.split('?')[0]! : SIGN_IN
  const page = PAGES.find(({ pattern }) => pattern.test(path))
  if (!page) return ''
  const isStaff = actor && may(actor, 'staffScript.load')
  const scripts = page.scripts.filter((file) => isStaff || !STAFF.test(file))
  return [
    ...page.styles.map((file) => `<link rel="stylesheet" href="${file}" crossorigin>`),
    ...scripts.map((file) => `<link rel="modulepreload" as="script" href="${file}" crossorigin>`),
  ].join('')
}

/** A page comes with all its scripts and styles named, so that none waits until another has run. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    try {
      html.head.push(linksFor(event))
    } catch (error) {
      // The page finds its files by itself, and says what is wrong in words.
      log.error(error, 'The files of a page could not be named')
    }
  })
})
