import type { Spot } from '../plan/geometry'
import type { Door, Fixture, Wall } from '../plan/plan'
import type { ItemKey, Objective } from '../sheet/checklist'
import type { Use } from '../../regulations/supply'

export const ACT_KINDS = ['look', 'ask', 'measure'] as const
export type ActKind = (typeof ACT_KINDS)[number]

/** Something that a surveyor can do at an invented site, and what it shows. */
export interface SiteAct {
  readonly id: string
  readonly kind: ActKind
  /** What is done, such as "Look into the intake cupboard". */
  readonly name: string
  /** What is seen, heard or read. */
  readonly shows: string
}

/** What is so at a site, and by which acts it comes to be known; any of them is enough. */
export interface SiteFact {
  readonly key: ItemKey
  readonly value: string
  readonly by: readonly string[]
}

/** A way that the cable of a circuit would go, and how long it is. */
export interface SiteRoute {
  readonly name: string
  readonly use: Use
  readonly lengthM: number
}

/** A place to survey. Everything but its head, story and plan is the answer. */
export interface Site {
  readonly format: 'nakshi.site'
  readonly version: 1
  readonly code: string
  readonly title: string
  /** What the person who sends the surveyor says. */
  readonly story: string
  readonly objectives: readonly Objective[]
  readonly isReal: boolean
  /** What is drawn; its scale is to be found. */
  readonly plan: {
    readonly walls: readonly Wall[]
    readonly doors: readonly (Door & { readonly name: string })[]
    readonly fixtures: readonly Fixture[]
    readonly labels: readonly (Spot & { readonly text: string })[]
    readonly board: Spot
  }
  readonly metresPerUnit: number
  readonly acts: readonly SiteAct[]
  readonly facts: readonly SiteFact[]
  readonly routes: readonly SiteRoute[]
}

/** What an apprentice may see of a site before doing anything. */
export interface SiteShown extends Pick<Site, 'code' | 'title' | 'story' | 'objectives' | 'isReal' | 'plan'> {
  readonly acts: readonly Pick<SiteAct, 'id' | 'kind' | 'name'>[]
}
export const shownOf = ({ code, title, story, objectives, isReal, plan, acts }: Site): SiteShown => ({
  code,
  title,
  story,
  objectives,
  isReal,
  plan,
  acts: acts.map(({ id, kind, name }) => ({ id, kind, name })),
})
