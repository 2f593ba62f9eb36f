import lampStore from '../../sites/lamp-store.json'
import paintShop from '../../sites/paint-shop.json'
import waitingRoom from '../../sites/waiting-room.json'
import type { Site } from '#core/survey/site/site'
import { SiteSchema } from '#schemas/site'
import type { SiteItem } from '#schemas/survey-views'
import { validate } from '#schemas/validate'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** Sites that come with the app. */
const SHIPPED = [lampStore, waitingRoom, paintShop] as unknown as readonly Site[]

/** Every site, those of the centre first. */
export const allSites = ({ repos }: Pick<Context, 'repos'>): readonly Site[] => [
  ...repos.surveys.sites(),
  ...SHIPPED,
]

export const siteOf = (context: Pick<Context, 'repos'>, code: string): Site | undefined =>
  allSites(context).find((site) => site.code === code)

const isShipped = (code: string): boolean => SHIPPED.some((site) => site.code === code)

/** What may be surveyed, by its head alone. */
export function listSites(context: Context, actor: Person): SiteItem[] {
  allow(actor, 'survey.write')
  return allSites(context).map(({ code, title, story }) => ({ code, title, story, isOwn: !isShipped(code) }))
}

/** Takes a site in from a file; refuses it whole, naming every part that cannot be taken. */
export function importSite({ repos, now }: Context, actor: Person, text: string): { readonly code: string } {
  allow(actor, 'survey.set')
  let document: unknown
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    throw new Problem('siteNotJson')
  }
  const checked = validate(SiteSchema, document)
  if (!checked.ok) throw new Problem('siteNotRight', { fields: checked.problems })
  const site: Site = checked.value
  const acts = new Set(site.acts.map(({ id }) => id))
  const lost = site.facts.flatMap(({ key, by }) =>
    by
      .filter((act) => !acts.has(act))
      .map((act) => ({ field: key, message: `names an act ${act} that is not there.` })),
  )
  if (lost.length > 0) throw new Problem('siteNotRight', { fields: lost })
  if (isShipped(site.code) || !repos.surveys.addSite(site, actor.id, now))
    throw new Problem('siteKnown', { fields: [{ field: 'code', message: 'is taken.' }] })
  repos.audit.add(now, actor.id, 'siteTakenIn', site.code)
  return { code: site.code }
}
